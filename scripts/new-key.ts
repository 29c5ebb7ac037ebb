import { rotateKeyIn } from '../server/src/own-key.js'

/** Puts a new key into the file that is named. */
const id = rotateKeyIn(process.argv[2] ?? '', Date.now() / 1000)
console.log(`From its next start this server signs with key ${id}.`)

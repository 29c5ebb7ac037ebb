export { type AppOptions, createApp } from './app.js'
export { connect, migrateUnderLock } from './db/connect.js'
export { appendBatch, readLog } from './db/log.js'
export { addPerson } from './people.js'

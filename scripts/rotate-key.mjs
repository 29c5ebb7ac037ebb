import { existsSync } from 'node:fs'
import { keyFile, nodePackages } from './lib/deps.mjs'
import { Plain, ROOT, endWith, run } from './lib/proc.mjs'

/** npm run rotate-key: from its next start the server signs with a new key; what the old one signed still stands. */
async function main() {
  nodePackages()
  if (!existsSync(keyFile())) throw new Plain('This server has no key yet: it makes one when it starts.')
  const ran = run(process.execPath, ['--import', 'tsx', 'scripts/new-key.ts', keyFile()], {
    show: true,
    cwd: ROOT,
  })
  process.exitCode = ran.status ?? 1
}
main().catch(endWith)

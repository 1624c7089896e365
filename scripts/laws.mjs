// npm run laws [FILE...]: the laws over random walls, drawn anew and ten times as many. Says the seed, to draw them again.
import { spawnSync } from 'node:child_process'

const seed = process.env.LAWS_SEED ?? String(Date.now() % 2_147_483_647)
const files = process.argv.slice(2)
console.log(`LAWS_SEED=${seed}`)
const { status } = spawnSync(
  'npx',
  ['jest', ...(files.length > 0 ? files : ['-t', 'law']), '--testTimeout=3600000'],
  {
    stdio: 'inherit',
    env: { ...process.env, LAWS_SEED: seed, LAWS: process.env.LAWS ?? '10' },
  },
)
process.exit(status ?? 1)

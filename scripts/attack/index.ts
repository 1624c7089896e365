// npm run attack: attacks a server of its own on loopback and prints what came of it. `--small` is what `npm test` runs;
// `--write` keeps the counts in docs/attack.md. Wants a build.
import { writeFileSync } from 'node:fs'
import { killWhileSaving } from './kills'
import { HANGS_MS, mutatedFiles, mutatedRequests, mutatedSaves, strangers, type Tally } from './requests'
import { fullDisk, largePages, manyClients, twoServers } from './servers'
import { startTarget } from './target'
import { slowPages } from './slow'
import { eachRouteByEachRole } from './roles'
import { killAtSteps } from './steps'
import { twoPhones } from './phones'
import { writersOnEveryPage } from './writers'

const small = process.argv.includes('--small')
const of = (large: number, less: number) => (small ? less : large)
const lines: { what: string; came: string; good: boolean }[] = []

function note(what: string, came: string, good: boolean): void {
  lines.push({ what, came, good })
  console.log(`${good ? 'holds ' : 'FAILS '} ${what}: ${came}`)
}
function noteTally(
  what: string,
  { sent, statuses, faults, hung, slowest }: Tally,
  more = '',
  moreGood = true,
): void {
  const said = Object.entries(statuses).map(([status, count]) =>
    status === '-1' ? `${count} that cannot be written as a request` : `${count} × ${status}`,
  )
  note(
    what,
    `${sent} sent, ${faults.length} faults, ${hung.length} over ${HANGS_MS / 1000} s (slowest ${Math.round(slowest)} ms)${more}; ${said.join(', ')}`,
    faults.length === 0 && hung.length === 0 && moreGood,
  )
  for (const each of [...faults.slice(0, 5), ...hung.slice(0, 5)]) console.log(`         ${each}`)
}

const started = performance.now()
const target = await startTarget()
const met = await strangers(target)
note('odd hosts and origins', `${met.asked} asked, ${met.letIn} let in`, met.letIn === 0)
noteTally('mutated requests to every route', await mutatedRequests(target, of(1000, 200)))
noteTally('mutated saves', await mutatedSaves(target, of(500, 60)))
const files = await mutatedFiles(target, of(2000, 60))
noteTally(
  'mutated job files',
  files,
  `, ${files.taken} taken in, ${files.halves} by halves`,
  files.halves === 0,
)
await target.kill('SIGTERM')

const killed = await killWhileSaving(of(200, 3))
note(
  'kill -9 while saving',
  `${killed.kills} kills, ${killed.saidSaved} said saved, ${killed.lost} lost, ${killed.unsound} unsound`,
  killed.lost === 0 && killed.unsound === 0 && killed.saidSaved > 0,
)
const roles = await eachRouteByEachRole(of(60, 12))
note(
  'each address by each role, and by nobody',
  `${roles.asked} asked, ${roles.wrong.length} answered otherwise than the table of rights says`,
  roles.wrong.length === 0,
)
for (const each of roles.wrong.slice(0, 8)) console.log(`         ${each}`)
note(
  'guesses of a passphrase by odd spellings of the address, and by the plain one',
  `${roles.odd.guesses} by odd ones, ${roles.odd.judged} judged; ${roles.plain.guesses} by the plain one in one go, ${roles.plain.judged} judged (10 a minute)`,
  roles.odd.judged === 0 && roles.plain.judged <= 20,
)
const two = await twoServers(of(240, 20))
note(
  'a second server on the same file',
  `${two.saved} of ${two.saves} saved, the second refused ${two.secondRefuses} and served ${two.secondServes}, says who has it: ${two.saysWho}, takes over: ${two.takesOver}`,
  two.saved === two.saves && two.secondServes === 0 && two.saysWho && two.takesOver,
)
const full = await fullDisk()
note(
  'a full disk',
  `${full.saved} saved, ${full.told} told, ${full.other} otherwise, ${full.lost} lost, sound: ${full.sound}`,
  full.told > 0 && full.other === 0 && full.lost === 0 && full.sound,
)
const many = await manyClients(of(20, 5), of(10, 2))
note(
  'many clients on one wall',
  `${many.clients} clients, ${many.sent} saves sent, ${many.done} done, ${many.asked} asked about, ${many.other} otherwise, ${many.missing} missing`,
  many.other === 0 && many.missing === 0,
)
const wrote = await writersOnEveryPage(of(1000, 44))
note(
  'windows that change the same things at once, on every kind of page',
  `${wrote.writers} writers, ${wrote.edits} edits, ${wrote.refused} refused, ${wrote.lost.length} fields lost${wrote.lost.length > 0 ? `: ${wrote.lost.join(', ')}` : ''}`,
  wrote.refused === 0 && wrote.lost.length === 0,
)
if (!small) {
  const steps = await killAtSteps(8)
  note(
    'kill -9 at every step of a copy, an update and a restore',
    `${steps.kills} kills at ${steps.steps} steps, ${steps.lost} lost, ${steps.unsound} unsound, ${steps.halves} halves left`,
    steps.lost + steps.unsound + steps.halves === 0 && steps.kills >= steps.steps,
  )
  const phones = await twoPhones(1000, 5, 3)
  note(
    'two phones without a server: restarts, newer workers, another member, a clock a day ahead',
    `${phones.ticked} acts on ${phones.phones} phones, ${phones.restarts} restarts, ${phones.updates} worker updates, ${phones.kept} there, ${phones.otherwise} missing, twice or by another, ${phones.late} members with acts from tomorrow`,
    phones.ticked >= 1000 &&
      phones.kept === phones.ticked &&
      phones.otherwise === 0 &&
      phones.late === 0 &&
      phones.restarts === 5 &&
      phones.updates === 3,
  )
  const slow = await slowPages()
  note(
    'pages that a phone kept, over a link of 6 s, after a wall was made wider',
    `${slow.pages} pages, looked at ${slow.samples} times, ${slow.unlabeled} times an old width without a label, ${slow.neverFresh} pages without the new one at the end${slow.where.length > 0 ? `: ${slow.where.join(', ')}` : ''}`,
    slow.unlabeled + slow.neverFresh === 0 && slow.samples > 0,
  )
  const large = await largePages(1000, 60)
  note(
    'the list of 1 000 jobs',
    `${large.jobs.ms} ms, ${large.jobs.kB} kB (150 ms, 100 kB)`,
    large.jobs.ms < 150 && large.jobs.kB < 100,
  )
  note(
    'a job of 60 walls',
    `${large.sixtyWalls.ms} ms, ${large.sixtyWalls.kB} kB (200 ms)`,
    large.sixtyWalls.ms < 200,
  )
  note(
    `a job of ${large.manyWalls.count} walls`,
    `${large.manyWalls.ms} ms, ${large.manyWalls.kB} kB a page`,
    large.manyWalls.ms < 1000,
  )
}
const seconds = Math.round((performance.now() - started) / 1000)
console.log(`${lines.filter(({ good }) => good).length} of ${lines.length} hold, in ${seconds} s`)
if (process.argv.includes('--write'))
  writeFileSync(
    'docs/attack.md',
    `# What an attack came to\n\nWritten by \`npm run attack -- --write\` (${seconds} s on the machine it ran on). The server is the project’s own, on loopback; what is sent comes out of seeded chance, so that a run can be repeated.\n\n| what | came to | holds |\n|---|---|---|\n${lines.map(({ what, came, good }) => `| ${what} | ${came} | ${good ? 'yes' : 'no'} |`).join('\n')}\n`,
  )
process.exit(lines.every(({ good }) => good) ? 0 : 1)

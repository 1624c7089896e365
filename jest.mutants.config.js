// Stryker wants one environment and one list of tests: of a group only its own, or a run takes hours.
import all from './jest.config.js'

const { displayName: _name, ...node } = all.projects[0]
const tests = (process.env.MUTANT_TESTS ?? 'app/length').split(',')
export default {
  ...node,
  // laws over random walls would notice more, but take seconds a mutant: the score is without them
  testPathIgnorePatterns: ['/node_modules/', 'meeting.test', 'presses.test', 'laws.test', 'anything.test'],
  testMatch: tests.map((place) =>
    place.endsWith('.ts') ? `<rootDir>/${place}` : `<rootDir>/${place}/**/*.test.ts`,
  ),
}

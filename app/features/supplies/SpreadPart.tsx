import { beadShapes, spreadName, supplyText, workWords, type Wording } from '~/messages'
import { type Spread, USUAL_SPREAD, type Work } from '~/model'
import type { Length } from '~/length'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { CommitLength } from '~/ui/CommitLength'
import { NumberBox } from '~/ui/NumberBox'
import { Fold } from '~/ui/Fold'
import { Sheet } from '~/ui/page'

const LENGTHS = [
  'caulkBead',
  'glueBead',
  'dab',
  'dabThick',
  'dabsApart',
  'nailsApart',
  'nailFromEnd',
] as const
const COVERS = [
  'paintCover',
  'primerCover',
  'stainCover',
  'varnishCover',
  'skimCover',
  'paperSheet',
  'knots',
] as const
const MOST = {
  paintCover: 2_000,
  primerCover: 2_000,
  stainCover: 2_000,
  varnishCover: 2_000,
  skimCover: 1_000,
  paperSheet: 1_000,
  knots: 100,
} as const

/** How far things go: built-in figures are common practice, and said to be; others are the crew's own. */
export function SpreadPart({
  work,
  w,
  change,
}: {
  readonly work: Work
  readonly w: Wording
  readonly change: (patch: Partial<Work>) => void
}) {
  const { spread } = work
  const set = (patch: Partial<Spread>) => change({ spread: { ...spread, ...patch } })
  const note = (key: keyof Spread) => (spread[key] === USUAL_SPREAD[key] ? supplyText.usual : supplyText.own)
  const own = (Object.keys(USUAL_SPREAD) as (keyof Spread)[]).filter(
    (key) => spread[key] !== USUAL_SPREAD[key],
  )
  return (
    <Sheet aria-label={supplyText.rates}>
      <Choice<Work['caulk']>
        label={supplyText.caulk}
        value={work.caulk}
        options={(['every', 'open', 'none'] as const).map((id) => ({ id, text: workWords.caulk[id] }))}
        onChange={(caulk) => change({ caulk })}
      />
      <Fold
        title={supplyText.rates}
        aside={own.length > 0 ? supplyText.ownCount(own.length) : supplyText.usual}
      >
        <Choice<Spread['caulkShape']>
          label={`${spreadName('caulkShape')} · ${note('caulkShape')}`}
          value={spread.caulkShape}
          options={(['round', 'fillet', 'square'] as const).map((id) => ({ id, text: beadShapes[id] }))}
          onChange={(caulkShape) => set({ caulkShape })}
        />
        {LENGTHS.map((key) => (
          <CommitLength
            key={key}
            label={`${spreadName(key)} · ${note(key)}`}
            value={spread[key]}
            format={w.format}
            least={1 as Length}
            onDone={(value) => set({ [key]: value })}
          />
        ))}
        <NumberBox
          label={spreadName('waste')}
          note={note('waste')}
          value={Math.round(spread.waste * 100)}
          most={200}
          onDone={(value) => set({ waste: (value ?? 0) / 100 })}
        />
        {COVERS.map((key) => (
          <NumberBox
            key={key}
            label={spreadName(key)}
            note={note(key)}
            value={spread[key]}
            most={MOST[key]}
            onDone={(value) => set({ [key]: value ?? 0 })}
          />
        ))}
        {own.length > 0 ? (
          <Button onPress={() => set(Object.fromEntries(own.map((key) => [key, USUAL_SPREAD[key]])))}>
            {supplyText.back(own.map(spreadName).join(', '))}
          </Button>
        ) : null}
      </Fold>
    </Sheet>
  )
}

import { useState } from 'react'
import { changeSchool, droppedSchool } from '~/core/edits/changeSchool'
import { isPicked, unpicked } from '~/core/edits/sectionCount'
import { rulesOf } from '~/core/patterns/rules'
import { roomLayoutEdits } from '~/core/room/sameLayout'
import { useWallEditor } from '~/editor/WallEditor'
import { ZERO } from '~/length'
import {
  droppedText,
  extentText,
  fillersText,
  flatWayName,
  keptText,
  likeText,
  ownCountsText,
  patternsKeptText,
  schoolName,
  shiftText,
  standText,
} from '~/messages'
import { type Design, inForce, PATTERNS } from '~/model'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Sentence } from '~/ui/Sentence'
import { EditButton } from './EditButton'

/** One thing that counts besides the sentence, with the press that takes it off. */
function Kept({ what, text, off, take }: { what: string; text: string; off: string; take: () => void }) {
  return (
    <span data-kept={what}>
      <Fractions text={text} />{' '}
      <Button $kind="quiet" onPress={take} data-focus={what}>
        {off}
      </Button>{' '}
    </span>
  )
}

/**
 * What was done to the layout besides its pattern and its school, in words that take it back: the part covered, a shift, counts
 * picked by hand, a ledger, fillers, rails that do not lie level, a lock; and what a switch has put aside.
 */
export function KeptSentence() {
  const { workpiece, plan, wording, edit } = useWallEditor()
  const design = inForce(workpiece.wall.design)
  const { layout } = plan
  const shifted = layout.sections[0]?.shifted ?? 0
  const patch = (next: Partial<Design>) => edit([{ type: 'patchDesign', patch: next }], 'done')
  const take = (next: Partial<Design>) => () => patch(next)
  const places = rulesOf(design).places
  const dropped = places === 'uprights' ? droppedSchool(design) : null
  const { extent, fillers, shift, levelRule, locked, apart, stand, unflat, sides } = design
  type KeptRow = readonly [string, boolean, string, string, () => void]
  const isOn: readonly KeptRow[] = [
    [
      'extent',
      extent !== null,
      extent ? extentText(extent, wording) : '',
      keptText.extentOff,
      take({ extent: null }),
    ],
    ['shift', shift !== 0, shiftText(shift, shifted, wording), keptText.shiftOff, take({ shift: ZERO })],
    [
      'counts',
      places !== null && isPicked(design),
      ownCountsText(design),
      keptText.countsOff,
      take(unpicked(design)),
    ],
    [
      'ledger',
      layout.bands.some(({ role }) => role === 'ledger'),
      keptText.ledger,
      keptText.ledgerOff,
      take({ proud: 'leave' }),
    ],
    [
      'backBevel',
      design.proud === 'backBevel',
      keptText.backBevel,
      keptText.backBevelOff,
      take({ proud: 'leave' }),
    ],
    [
      'fillers',
      fillers !== null,
      fillers ? fillersText(fillers, wording) : '',
      keptText.fillersOff,
      take({ fillers: null }),
    ],
    [
      'levelRule',
      levelRule !== 'level',
      keptText.levelRule[levelRule],
      keptText.levelOff,
      take({ levelRule: 'level' }),
    ],
    [
      'stand',
      places === 'uprights' && stand.kind !== 'plumb',
      standText.kept(stand),
      standText.off,
      take({ stand: { kind: 'plumb' } }),
    ],
    [
      'unflat',
      unflat !== 'proposed',
      unflat === 'proposed' ? '' : keptText.unflat(flatWayName(unflat)),
      keptText.unflatOff,
      take({ unflat: 'proposed' }),
    ],
    [
      'tops',
      design.tops === 'level' && design.height.rule === 'full',
      keptText.levelTops,
      keptText.levelTopsOff,
      take({ tops: 'ceiling' }),
    ],
    [
      'smallPieces',
      design.smallPieces === 'leaveOut',
      keptText.smallOut,
      keptText.smallOutOff,
      take({ smallPieces: 'cut' }),
    ],
    ...(['left', 'right'] as const).map((side): KeptRow => [
      `side-${side}`,
      sides[side] !== 'caulk',
      keptText.side(side, sides[side]),
      keptText.sideOff,
      take({ sides: { ...sides, [side]: 'caulk' } }),
    ]),
    ['locked', locked, keptText.locked, keptText.lockedOff, take({ locked: false })],
    ['apart', apart, keptText.apart, keptText.apartOff, take({ apart: false })],
  ]
  const on = isOn.filter(([, is]) => is)
  return (
    <>
      {on.length > 0 ? (
        <Sentence>
          {on.map(([what, , text, off, undo]) => (
            <Kept key={what} what={what} text={text} off={off} take={undo} />
          ))}
        </Sentence>
      ) : null}
      {dropped ? (
        <p data-dropped role="status">
          <Fractions text={droppedText(dropped, wording)} />{' '}
          <Button
            data-focus="school-back"
            onPress={() => patch(changeSchool(design, dropped.school, 0, layout.placement?.nearEdges ?? []))}
          >
            {keptText.backTo(schoolName(dropped.school))}
          </Button>{' '}
          <Button $kind="quiet" onPress={take({ schools: [] })}>
            {keptText.forget}
          </Button>
        </p>
      ) : null}
      <PatternsKept />
    </>
  )
}

/** Which other patterns this wall keeps as they were left. */
function PatternsKept() {
  const { workpiece } = useWallEditor()
  const { pattern, patterns } = workpiece.wall.design
  const others = PATTERNS.filter((each) => each !== pattern && patterns[each] !== undefined)
  return others.length === 0 ? null : <small data-patterns-kept>{patternsKeptText(others)}</small>
}

/** The wall laid out like one beside it, with its own counts or by the wish. */
export function LikeBeside() {
  const { identity, workpiece } = useWallEditor()
  const [open, setOpen] = useState(false)
  const sides = (['left', 'right'] as const).flatMap((side) => {
    const beside = identity.beside[side]
    return beside ? [{ side, ...beside }] : []
  })
  if (sides.length === 0) return null
  const editsLike = (wall: (typeof sides)[number]['wall'], counts: 'wish' | 'own') =>
    roomLayoutEdits(
      [
        { id: 'beside', workpiece: { ...workpiece, wall } },
        { id: 'here', workpiece },
      ],
      'beside',
      counts,
    ).get('here') ?? []
  return (
    <>
      <Button aria-expanded={open} onPress={() => setOpen(!open)}>
        {likeText.open}
      </Button>
      {open
        ? sides.flatMap(({ side, name, wall }) =>
            (['wish', 'own'] as const).map((counts) => (
              <EditButton key={`${side} ${counts}`} edits={editsLike(wall, counts)} wide>
                {likeText.like(name, counts)}
              </EditButton>
            )),
          )
        : null}
    </>
  )
}

import type { ChoiceCost } from '~/core/agree/choiceCost'
import type { OptionFigures } from '~/core/agree/optionFigures'
import type { TryPiece } from '~/core/agree/tryOut'
import type { Risk, WeighUp } from '~/core/agree/weighUp'
import { count, listed, materialName, money, say, sayWithUnit, stripName, type Wording } from './words'

export const agreeText = {
  stage: 'Agree',
  tabs: { options: 'Options', colors: 'Colors', photo: 'On the photograph' },
  client: 'Client’s page',
  options: 'Options side by side',
  help: 'All drawn at one scale. What differs from the chosen one is said beside it.',
  chosen: 'Chosen: it marks, cuts and buys',
  worked: 'In hand',
  notTheChosen: 'not the chosen option',
  workOn: (name: string) => `Work on ${name}`,
  choose: (name: string) => `Choose ${name}`,
  chooseAnyway: 'Choose it all the same',
  copy: 'Make another from it',
  copyOf: (name: string) => `Make another option from ${name}`,
  archive: (name: string) => `Archive ${name}`,
  restore: (name: string) => `Restore ${name}`,
  archived: (n: number) => `Archived: ${n}`,
  choiceUnsaved: (name: string) =>
    `${name} is chosen on this device but not saved. Until it is saved, Mark and Cut show the option before it.`,
  saveChoice: 'Save the choice',
  noOption: 'This wall has no such option, or Regla can’t read it. Nothing was changed.',
  working: 'working…',
  unread: 'This option can’t be read.',
  failed: 'The figures could not be worked out. Load the page again.',
  tryTitle: 'Try it for real',
  tryHelp:
    'The fewest pieces that show it: cut them, tape them up, stand back. They are cut to the plan, so they serve when the wall is fitted.',
  tryNone: 'There is nothing to tape up yet.',
  tryLook: [
    'Stand where the room is entered, and where one sits: is the gap what you thought?',
    'Look at the height against window, switch and furniture.',
    'Look once by day and once by lamp: the shadow is half of the look.',
    'Leave it overnight before you cut the rest.',
  ],
  trySafe:
    'Use tape that comes off paint, and try it in a corner first; in an old house paint may hold lead.',
  tryDone: 'They are cut: count them as in hand',
  tryKept: (labels: readonly string[]) =>
    `On the rack as ${listed(labels)}: the next plan of boards takes them first.`,
  figures: {
    gap: 'Clear gap',
    pieces: 'Pieces',
    joints: 'Joints',
    boards: 'Boards, about',
    cost: 'Boards cost',
    supplies: 'Supplies cost',
    hours: 'Hours, about',
    days: 'Days, one person',
    setUps: 'Saw set-ups',
    plates: 'Plates clear of trim',
    density: 'Trim covers',
    balance: 'Left / right of middle',
    wrong: 'Wrong',
    risks: 'What is risky',
  },
  ratesNote:
    'Hours by the job’s own rates, which stand on its page Work; boards by a good plan that need not be the best; supplies each bought for this wall alone.',
  noGap: '–',
} as const

type FigureName = keyof typeof agreeText.figures

const part = (value: number) => `${Math.round(value * 100)} %`

/** What is risky in an option, in words. */
export function riskText(risk: Risk, w: Wording): string {
  switch (risk.kind) {
    case 'wrong':
      return `${count(risk.count, 'thing is', 'things are')} wrong with the layout`
    case 'watch':
      return `${count(risk.count, 'thing')} to look at`
    case 'inPlace':
      return `${count(risk.count, 'piece')} measured in place`
    case 'cables':
      return `cables or pipes: ${count(risk.count, 'place')} to keep clear`
    case 'textured':
      return 'textured wall: nothing glues flat'
    case 'rented':
      return 'rented: it must come off again'
    case 'floor':
      return `floor falls ${sayWithUnit(risk.by, w)}`
    case 'lean':
      return `wall leans ${sayWithUnit(risk.by, w)}`
  }
}

export function risksText(risks: readonly Risk[], w: Wording): string {
  return risks.length === 0 ? 'nothing seen' : risks.map((risk) => riskText(risk, w)).join('; ')
}

function tenths(value: number): string {
  return String(Math.round(value * 10) / 10)
}

/** A figure of an option as it is read. */
export function figureText(name: FigureName, f: OptionFigures, w: Wording): string {
  switch (name) {
    case 'gap':
      if (!f.gaps) return agreeText.noGap
      return say(f.gaps.least, w) === say(f.gaps.most, w)
        ? sayWithUnit(f.gaps.least, w)
        : `${say(f.gaps.least, w)} to ${sayWithUnit(f.gaps.most, w)}`
    case 'boards':
      return f.boards === null ? 'some piece has no board' : String(f.boards)
    case 'cost':
      if (!f.cost || w.currency === undefined) return 'not known'
      return f.cost.whole
        ? money(f.cost.sum, w.currency)
        : f.cost.sum > 0
          ? `${money(f.cost.sum, w.currency)} and boards without a price`
          : 'no prices yet'
    case 'supplies':
      if (w.currency === undefined) return 'not known'
      return f.supplies.whole
        ? money(f.supplies.sum, w.currency)
        : f.supplies.sum > 0
          ? `${money(f.supplies.sum, w.currency)} and more without a price`
          : 'no prices yet'
    case 'hours':
      return tenths(f.weigh.hours)
    case 'days':
      return String(f.weigh.days)
    case 'plates':
      return f.plates.all === 0 ? 'no plates' : `${f.plates.all - f.plates.hit} of ${f.plates.all}`
    case 'density':
      return part(f.density)
    case 'balance':
      return `${part(f.left)} / ${part(1 - f.left)}`
    case 'risks':
      return risksText(f.weigh.risks, w)
    default:
      return String(f[name])
  }
}

/** How a figure differs from the chosen option's: by how much where it is a number; nothing where it reads the same. */
export function differenceText(
  name: FigureName,
  f: OptionFigures,
  chosen: OptionFigures,
  w: Wording,
): string {
  if (figureText(name, f, w) === figureText(name, chosen, w)) return ''
  const numbers: Partial<Record<FigureName, (of: OptionFigures) => number | null>> = {
    pieces: (of) => of.pieces,
    joints: (of) => of.joints,
    boards: (of) => of.boards,
    setUps: (of) => of.setUps,
    wrong: (of) => of.wrong,
    hours: (of) => Math.round(of.weigh.hours * 10) / 10,
    days: (of) => of.weigh.days,
  }
  const signed = (by: number) => `${by > 0 ? '+' : '−'}${tenths(Math.abs(by))}`
  const of = numbers[name]
  const [a, b] = [of?.(f) ?? null, of?.(chosen) ?? null]
  if (a !== null && b !== null) return signed(a - b)
  if (name === 'cost' && f.cost?.whole && chosen.cost?.whole && w.currency !== undefined) {
    const by = f.cost.sum - chosen.cost.sum
    return `${by > 0 ? '+' : '−'}${money(Math.abs(by), w.currency)}`
  }
  return 'differs'
}

/** Where the hours go. */
export function minutesText({ minutes }: Pick<WeighUp, 'minutes'>): string {
  const names = {
    prepare: 'prepare',
    mark: 'mark',
    cut: 'cut',
    fit: 'fit',
    fill: 'fill and sand',
    caulk: 'caulk',
    paint: 'paint',
  }
  return Object.entries(names)
    .map(([key, name]) => `${name} ${tenths(minutes[key as keyof typeof minutes] / 60)}`)
    .join(', ')
}

/** What another choice costs after pieces were cut. */
export function choiceCostText(cost: ChoiceCost, w: Wording): string {
  if (cost.wasted === 0)
    return `${count(cost.cut, 'piece is', 'pieces are')} cut; all of them still do with this option.`
  const worth =
    cost.money !== null && w.currency !== undefined
      ? `, about ${money(cost.money, w.currency)} of boards`
      : ''
  const again = cost.serves > 0 ? ` ${cost.serves} of them can be cut shorter for it.` : ''
  return `${count(cost.cut, 'piece is', 'pieces are')} cut; ${cost.wasted} would be for nothing (${sayWithUnit(cost.length, w)} of trim${worth}).${again}`
}

/** Where a piece to be taped up goes, and what it is cut from. */
export function tryPieceText(piece: TryPiece, w: Wording): string {
  const from = piece.offcut
    ? `from offcut ${piece.offcut.label} (${say(piece.offcut.length, w)})`
    : 'from a board'
  return `${stripName(piece.stripId, w)}: ${materialName(piece.materialId, w)}, ${sayWithUnit(piece.length, w)}, ${from}. Left end ${say(piece.x, w)} from the left corner, lower edge ${sayWithUnit(piece.y, w)} over the base line.`
}

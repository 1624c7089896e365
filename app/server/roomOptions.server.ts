import type { DesignDocument } from '~/model'
import { type Database, inTransaction } from './db/database.server'
import { newChange } from './documents.server'
import { changeOption, copyOption, optionsOf } from './options.server'

interface WallRow {
  readonly id: string
}

/** An option of a room: those of its walls that have the same name, with the designs its walls would have then. */
export interface RoomOption {
  readonly name: string
  /** On how many walls it is chosen, and how many have it. */
  readonly chosen: number
  readonly has: number
  /** The design of each wall, by its id; a wall without this option keeps the one that is chosen. */
  readonly designs: Readonly<Record<string, DesignDocument>>
}

/** The options of a room's walls by their names, those archived left out. */
export function roomOptions(db: Database, walls: readonly WallRow[]): RoomOption[] {
  const all = walls.map(({ id }) => ({ id, options: optionsOf(db, id).filter(({ archived }) => !archived) }))
  const names = [...new Set(all.flatMap(({ options }) => options.map(({ name }) => name)))]
  return names.map((name) => {
    const designs: Record<string, DesignDocument> = {}
    let [chosen, has] = [0, 0]
    for (const { id, options } of all) {
      const own = options.find((option) => option.name === name)
      const shown = own ?? options.find((option) => option.chosen)
      if (own) has += 1
      if (own?.chosen) chosen += 1
      if (shown?.design) designs[id] = shown.design
    }
    return { name, chosen, has, designs }
  })
}

/** Makes an option of every wall of a room from its chosen one, all under one name. Throws a FullError, and makes none, where a wall has no room. */
export function copyInRoom(db: Database, jobId: string, walls: readonly WallRow[], name: string): void {
  inTransaction(db, (tx) => {
    for (const { id } of walls) {
      const chosen = optionsOf(tx, id).find((option) => option.chosen)
      if (chosen) copyOption(tx, { jobId, wallId: id }, chosen.id, name)
    }
  })
}

/** Chooses the option of a name on every wall that has it, as one change that undo takes back on the room's page, or on a wall's. */
export function chooseInRoom(
  db: Database,
  { jobId, roomId }: { readonly jobId: string; readonly roomId: string },
  walls: readonly WallRow[],
  name: string,
  member: string | null = null,
): void {
  inTransaction(db, (tx) => {
    let change: number | null = null
    const made = () => (change ??= newChange(tx, `room/${roomId}`, 'done', null, member))
    for (const { id } of walls) {
      const option = optionsOf(tx, id).find((each) => each.name === name && !each.archived)
      if (option && !option.chosen)
        changeOption(tx, { jobId, wallId: id }, option.id, { kind: 'choose' }, made)
    }
  })
}

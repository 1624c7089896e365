import { getFormProps, type SubmissionResult, useForm } from '@conform-to/react'
import { useState } from 'react'
import { Form } from 'react-router'
import type { Tape, Units } from '~/length'
import { newWallsWord } from '~/messages'
import { nextName } from '~/model'
import { Button } from '~/ui/Button'
import { Row, Sheet } from '~/ui/page'
import { RadioRow } from '~/ui/RadioRow'
import { TextBox } from '~/ui/TextBox'
import { WallLines } from './WallLines'

export interface NewWallsProps {
  readonly rooms: readonly string[]
  readonly units: Units
  readonly tape: Tape
  /** The wall new ones are laid out like; null where there is none yet. */
  readonly like: { readonly id: string; readonly name: string } | null
  readonly lastResult: SubmissionResult<string[]> | undefined
}

/** One more wall, or all of a room: named, and measured as far as it is known. */
export function NewWalls({ rooms, units, tape, like, lastResult }: NewWallsProps) {
  const [form, fields] = useForm<{ room: string; lines: string; like: string }>({
    id: 'new-walls',
    lastResult: lastResult ?? null,
  })
  const [typed, setTyped] = useState({ walls: 0, measured: 0 })
  const [habit, setHabit] = useState<'like' | 'plain'>(like ? 'like' : 'plain')
  return (
    <Form method="post" {...getFormProps(form)}>
      <Sheet>
        <h2>{rooms.length === 0 ? 'The first walls' : 'More walls'}</h2>
        <input type="hidden" name="intent" value="newWalls" />
        <TextBox
          label="Room"
          name={fields.room.name}
          defaultValue={fields.room.initialValue ?? rooms[rooms.length - 1] ?? nextName('Room', rooms)}
          problem={fields.room.errors?.[0]}
        />
        <WallLines
          name={fields.lines.name}
          units={units}
          tape={tape}
          initial={fields.lines.initialValue ?? ''}
          problems={fields.lines.errors ?? []}
          onCount={(walls, measured) => setTyped({ walls, measured })}
        />
        {like ? (
          <RadioRow<'like' | 'plain'>
            label="Laid out"
            name="habit"
            value={habit}
            options={[
              { id: 'like', text: `like ${like.name}` },
              { id: 'plain', text: 'from the start' },
            ]}
            onChange={setHabit}
          />
        ) : null}
        <input type="hidden" name="like" value={habit === 'like' ? (like?.id ?? '') : ''} />
        <Row>
          <Button type="submit" $kind="main">
            {newWallsWord(typed.walls, typed.measured)}
          </Button>
        </Row>
      </Sheet>
    </Form>
  )
}

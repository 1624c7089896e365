import { useState } from 'react'
import { roomLayoutEdits } from '~/core/room/sameLayout'
import { layOutLikeText, whyNot } from '~/messages'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Row } from '~/ui/page'
import type { Room } from './useRoom'

/** All walls of the room laid out like one of them, in one press; counts by its wish, or each wall's own. */
export function LayOutLike({ room }: { room: Room }) {
  const [picked, pick] = useState<string | null>(null)
  const [counts, setCounts] = useState<'wish' | 'own'>('wish')
  const model = room.walls.find(({ id }) => id === picked) ?? room.walls[0]
  if (!model) return null
  const edits = roomLayoutEdits(room.walls, model.id, counts)
  return (
    <Row role="group" aria-label={layOutLikeText.group}>
      <Choice
        word
        label={layOutLikeText.which}
        value={model.id}
        options={room.walls.map(({ id, name }) => ({ id, text: name }))}
        onChange={pick}
      />
      <Choice<'wish' | 'own'>
        word
        label={layOutLikeText.counts}
        value={counts}
        options={[
          { id: 'wish', text: layOutLikeText.wish },
          { id: 'own', text: layOutLikeText.own },
        ]}
        onChange={setCounts}
      />
      <Button
        $kind="main"
        isDisabled={edits.size === 0}
        why={whyNot.same}
        onPress={() => room.edit(edits)}
        onHoverStart={() => room.lookAt(edits)}
        onHoverEnd={() => room.lookAt(null)}
      >
        {layOutLikeText.press(model.name)}
      </Button>
    </Row>
  )
}

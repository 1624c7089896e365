import { useState } from 'react'
import { newToken } from '~/editor/saving/browserSaver'
import { dateText, fullText, orderText, whyNot } from '~/messages'
import { LIMITS } from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Fold } from '~/ui/Fold'
import { NumberBox } from '~/ui/NumberBox'
import { Picks } from '~/ui/Picks'
import { Row, Soft, Spread } from '~/ui/page'
import { TextBox } from '~/ui/TextBox'
import { DayBox } from './DaysPart'
import type { WorkInHand } from '~/editor/work/useWork'

const ANY = 'any'

/** Tasks of one's own, and what comes on a day: each put where it belongs in the order. */
export function OwnPart({
  inHand,
  tasks,
}: {
  readonly inHand: WorkInHand
  readonly tasks: readonly { readonly id: string; readonly name: string }[]
}) {
  const { work, change, scope } = inHand
  const [name, setName] = useState('')
  const [minutes, setMinutes] = useState<number | null>(60)
  const [trade, setTrade] = useState<'own' | 'trade'>('own')
  const [after, setAfter] = useState(ANY)
  const [before, setBefore] = useState(ANY)
  const [what, setWhat] = useState('')
  const [on, setOn] = useState<string | null>(null)
  const [waits, setWaits] = useState(ANY)
  const options = [{ id: ANY, text: orderText.anytime }, ...tasks.map(({ id, name: text }) => ({ id, text }))]
  const room = scope.startsWith('room:') ? scope.slice(5) : null
  const addTask = () => {
    const one = {
      id: newToken(),
      name: name.trim(),
      room,
      trade: trade === 'trade',
      minutes: minutes ?? 0,
      after: after === ANY ? [] : [after],
      before: before === ANY ? [] : [before],
      wait: 0,
    }
    change({ tasks: [...work.tasks, one] })
    setName('')
  }
  const addDelivery = () => {
    if (on === null || waits === ANY) return
    change({ deliveries: [...work.deliveries, { id: newToken(), name: what.trim(), on, for: waits }] })
    setWhat('')
  }
  const nameOf = (id: string) => tasks.find((each) => each.id === id)?.name ?? id
  return (
    <>
      <Fold title={orderText.own} aside={work.tasks.length > 0 ? String(work.tasks.length) : ''}>
        {work.tasks.map(({ id, name: of }) => (
          <Spread key={id}>
            <span>{of}</span>
            <Button
              $kind="quiet"
              aria-label={orderText.removeOwn(of)}
              onPress={() => change({ tasks: work.tasks.filter((each) => each.id !== id) })}
            >
              ×
            </Button>
          </Spread>
        ))}
        {work.tasks.length >= LIMITS.ownTasks ? (
          <Soft>{fullText('ownTasks')}</Soft>
        ) : (
          <>
            <TextBox label={orderText.ownName} value={name} onChange={setName} maxLength={LIMITS.name} />
            <NumberBox label={orderText.ownMinutes} value={minutes} most={100_000} onDone={setMinutes} />
            <Picks<'own' | 'trade'>
              label={orderText.ownWho}
              value={trade}
              options={[
                { id: 'own', text: orderText.ownCrew },
                { id: 'trade', text: orderText.ownTrade },
              ]}
              onChange={setTrade}
            />
            <Choice<string> label={orderText.ownAfter} value={after} options={options} onChange={setAfter} />
            <Choice<string>
              label={orderText.ownBefore}
              value={before}
              options={options}
              onChange={setBefore}
            />
            <Button isDisabled={name.trim() === ''} why={whyNot.task} onPress={addTask}>
              {orderText.addOwn}
            </Button>
          </>
        )}
      </Fold>
      <Fold
        title={orderText.deliveries}
        aside={work.deliveries.length > 0 ? String(work.deliveries.length) : ''}
      >
        {work.deliveries.map(({ id, name: of, on: day, for: waiting }) => (
          <Spread key={id}>
            <span>
              {of}, {dateText(day)}: {nameOf(waiting)}
            </span>
            <Button
              $kind="quiet"
              aria-label={orderText.removeDelivery(of)}
              onPress={() => change({ deliveries: work.deliveries.filter((each) => each.id !== id) })}
            >
              ×
            </Button>
          </Spread>
        ))}
        {work.deliveries.length >= LIMITS.deliveries ? (
          <Soft>{fullText('deliveries')}</Soft>
        ) : (
          <>
            <TextBox label={orderText.deliveryName} value={what} onChange={setWhat} maxLength={LIMITS.name} />
            <Row>
              <DayBox label={orderText.deliveryOn} value={on} onDone={setOn} />
            </Row>
            <Choice<string>
              label={orderText.deliveryFor}
              value={waits}
              options={options.slice(1)}
              onChange={setWaits}
            />
            <Button
              isDisabled={what.trim() === '' || on === null || waits === ANY}
              why={whyNot.delivery}
              onPress={addDelivery}
            >
              {orderText.addDelivery}
            </Button>
          </>
        )}
      </Fold>
    </>
  )
}

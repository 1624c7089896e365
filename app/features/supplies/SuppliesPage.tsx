import { useMemo } from 'react'
import { useSearchParams } from 'react-router'
import { styled } from 'styled-components'
import type { Supply } from '~/core/takeoff/supplies'
import { takeOff } from '~/core/takeoff/supplies'
import { suppliesHeld } from '~/core/yard/supplyLines'
import { JobFrame } from '~/editor/work/JobFrame'
import { LeftOut } from '~/editor/work/LeftOut'
import { inScope, scopeOf } from '~/editor/work/scope'
import { useJobFacts } from '~/editor/work/useJobFacts'
import { type SettingsPage, useJobSettings } from '~/editor/work/useJobSettings'
import type { WallBodies } from '~/editor/work/useJobFacts'
import { useYard } from '~/editor/useYard'
import {
  amountText,
  basisText,
  buyText,
  money,
  packName,
  rateGapText,
  supplyName,
  supplyText,
  type Wording,
} from '~/messages'
import type { Pack, YardAct } from '~/model'
import { Choice } from '~/ui/Choice'
import { Fractions } from '~/ui/Fractions'
import { NumberBox } from '~/ui/NumberBox'
import { Alert, SideMain, Soft, Spread } from '~/ui/page'
import { PriceField } from '~/ui/PriceField'
import { Table } from '~/ui/Table'
import { narrow, space, type } from '~/ui/theme'
import { MuralSheet } from './MuralSheet'
import { Packs } from './Packs'
import { SpreadPart } from './SpreadPart'

const Head = styled.div`
  grid-column: 1 / -1;
`
const List = styled(Table)`
  & td {
    vertical-align: top;
  }
  & th[scope='row'] {
    white-space: normal;
    color: var(--ink);
  }
  & .name {
    font-size: ${type.lead};
    font-weight: 650;
  }
  & .basis {
    display: block;
    font-size: ${type.small};
    color: var(--ink-soft);
    font-weight: 400;
  }
  & .sum {
    text-align: right;
    white-space: nowrap;
  }
  /* on a phone each supply is a few lines of its own */
  ${narrow} {
    & thead {
      display: none;
    }
    & tr {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto;
      gap: ${space.xs} ${space.m};
      padding: ${space.s} 0;
      border-bottom: 1px solid var(--line);
    }
    & td,
    & th {
      border: 0;
      padding: 0;
      white-space: normal;
    }
    & th:first-child {
      grid-column: 1 / -1;
    }
    & td[data-head]::before {
      content: attr(data-head);
      display: block;
      font-size: ${type.small};
      color: var(--ink-soft);
    }
    & .sum {
      text-align: left;
    }
  }
`
const Beside = styled.div`
  display: grid;
  gap: ${space.l};
`
const Prices = styled.div`
  display: grid;
  gap: ${space.xs};
`

export interface SuppliesData extends SettingsPage {
  readonly name: string
  readonly rooms: readonly { readonly id: string; readonly name: string }[]
  readonly walls: readonly WallBodies[]
  readonly unreadable: readonly string[]
  readonly acts: readonly YardAct[]
}

/** What a job, a room or a wall takes besides boards: how much, what it rests on, what to buy. */
export function SuppliesPage({ job }: { readonly job: SuppliesData }) {
  const [params, setParams] = useSearchParams()
  const scope = scopeOf(params.get('for'), job)
  const { saver, settings, work, change } = useJobSettings(job)
  const facts = useJobFacts(job.walls, settings)
  const yard = useYard(job.acts)
  const held = useMemo(() => suppliesHeld(yard.acts, job.id), [yard.acts, job.id])
  const walls = useMemo(
    () => inScope(facts.rooms, scope).flatMap(({ walls: own }) => own),
    [facts.rooms, scope],
  )
  const { supplies, gaps } = useMemo(() => takeOff(walls, settings), [walls, settings])
  const w: Wording = {
    format: { units: settings.units, tape: settings.tape },
    materials: settings.materials,
    currency: settings.currency,
  }
  const names = [
    { id: 'job', text: supplyText.whole },
    ...job.rooms.map(({ id, name }) => ({ id: `room:${id}`, text: name })),
    ...job.walls.map(({ id, name }) => ({ id: `wall:${id}`, text: name })),
  ]
  const sum = supplies.reduce((all, { cost }) => all + (cost ?? 0), 0)
  const open = supplies.filter(({ cost }) => cost === null).length
  const setPrice = ({ key, packs }: Supply, at: number, price: number | null) => {
    const next = packs.map((pack, i): Pack => (i === at ? { ...pack, price } : pack))
    change({ packs: { ...work.packs, [key]: next } })
  }
  const count = ({ key, packs }: Supply, of: number | null) =>
    yard.record({ kind: 'supplyCounted', product: key, size: packs[0]?.size ?? 1, count: of ?? 0 })
  return (
    <JobFrame job={job} here="supplies" saver={saver}>
      <SideMain $side={320}>
        <Head>
          <Spread>
            <div>
              <h1>{supplyText.title}</h1>
              <Soft>{supplyText.help}</Soft>
            </div>
            <Choice<string>
              label={supplyText.scope}
              value={scope}
              options={names}
              onChange={(id) => setParams(id === 'job' ? {} : { for: id }, { replace: true })}
            />
          </Spread>
          <LeftOut names={[...job.unreadable, ...facts.leftOut]} />
          {gaps.map((gap) => (
            <Alert key={gap} role="alert">
              {rateGapText(gap)}
            </Alert>
          ))}
          <p role="status" data-testid="supplies-sum" data-state={facts.known ? 'known' : 'working'}>
            {facts.failed
              ? supplyText.failed
              : !facts.known
                ? supplyText.working
                : supplies.length === 0
                  ? supplyText.none
                  : `${supplyText.comesTo} ${supplyText.sum(money(sum, settings.currency), open)}`}
          </p>
        </Head>
        {facts.known || facts.failed ? (
          <>
            <List aria-label={supplyText.title}>
              <thead>
                <tr>
                  {supplyText.heads.map((head) => (
                    <th key={head} scope="col">
                      {head}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {supplies.map((supply) => {
                  const name = supplyName(supply, settings.paints, w)
                  return (
                    <tr key={supply.key} data-supply={supply.key}>
                      <th scope="row">
                        <span className="name">
                          <Fractions text={name} />
                        </span>
                        <span className="basis">
                          <Fractions text={basisText(supply.basis, w)} />
                        </span>
                      </th>
                      <td data-testid="amount" data-head={supplyText.heads[1]}>
                        {amountText(supply, settings.units)}
                      </td>
                      <td data-testid="buy" data-head={supplyText.heads[2]}>
                        <Packs supply={supply} />
                        <b>{buyText(supply, settings.units)}</b>
                      </td>
                      <td data-head={supplyText.heads[3]}>
                        <Prices>
                          {supply.packs.map((pack, at) => (
                            <PriceField
                              key={pack.size}
                              label={supplyText.price(
                                name,
                                packName(supply.product, pack.size, settings.units),
                              )}
                              value={pack.price}
                              currency={settings.currency}
                              onChange={(price) => setPrice(supply, at, price)}
                            />
                          ))}
                        </Prices>
                      </td>
                      <td data-head={supplyText.heads[4]}>
                        <NumberBox
                          lay="bare"
                          label={supplyText.onHand(name)}
                          value={held.get(supply.key)?.onHand ?? 0}
                          most={10_000}
                          step={0.25}
                          onDone={(of) => count(supply, of)}
                        />
                      </td>
                      <td className="sum" data-head={supplyText.heads[5]}>
                        {supply.cost === null ? '–' : money(supply.cost, settings.currency)}
                      </td>
                    </tr>
                  )
                })}
              </tbody>
            </List>
            <Beside>
              <SpreadPart work={work} w={w} change={change} />
              <MuralSheet walls={walls} w={w} />
            </Beside>
          </>
        ) : null}
      </SideMain>
    </JobFrame>
  )
}

import { useRef } from 'react'
import { useFetcher } from 'react-router'
import { styled } from 'styled-components'
import { useSize } from '~/drawing/interaction/useSize'
import { Asked } from '~/editor/Asked'
import { useChangeOption, useWallEditor } from '~/editor/WallEditor'
import { agreeText, minutesText } from '~/messages'
import type { YardAct } from '~/model'
import { Button } from '~/ui/Button'
import { Fold } from '~/ui/Fold'
import { Alert, Row, Soft } from '~/ui/page'
import { narrow, space } from '~/ui/theme'
import { AgreeFrame } from './AgreeFrame'
import { OptionCard } from './OptionCard'
import { TryFold } from './TryFold'
import { useOptions } from './useOptions'

const Cards = styled.div<{ $columns: number }>`
  display: grid;
  grid-template-columns: repeat(${({ $columns }) => $columns}, minmax(0, 1fr));
  gap: 0 ${space.l};
  row-gap: ${space.s};
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
    row-gap: ${space.l};
  }
`
const FIRST_SIZE = { width: 1200, height: 300 }
/** Drawings are no higher than this, in pixels. */
const HIGHEST = 168
const CARD_SIDES = 58

/** Options of the wall side by side; one is chosen, any is worked on. */
export function OptionsStage({ yard }: { readonly yard: readonly YardAct[] }) {
  const { identity, workpiece } = useWallEditor()
  const { options, failed } = useOptions()
  const changeOption = useChangeOption()
  const fetcher = useFetcher<{ said: string | null }>()
  const box = useRef<HTMLDivElement>(null)
  const size = useSize(box, FIRST_SIZE)
  const narrowly = size.width < 700
  const columns = narrowly ? 1 : Math.min(4, Math.max(2, options.length))
  const { survey } = workpiece.wall
  const scale = Math.min(
    (size.width / columns - CARD_SIDES) / Math.max(1, survey.width),
    HIGHEST / Math.max(1, survey.height),
  )
  const chosen = options.find((option) => option.chosen) ?? null
  const away = identity.options.filter(({ archived, id }) => archived && id !== identity.option.id)
  const copy = (option: string) =>
    void fetcher.submit({ intent: 'copy', option }, { method: 'post', action: `${identity.wallPath}/choose` })
  return (
    <AgreeFrame title={agreeText.options}>
      <Asked />
      {fetcher.data?.said ? <Alert role="alert">{fetcher.data.said}</Alert> : null}
      {failed ? <Alert role="alert">{agreeText.failed}</Alert> : null}
      <div ref={box}>
        <Cards $columns={columns}>
          {options.map((option) => (
            <OptionCard
              key={option.id}
              option={option}
              path={option.chosen ? identity.wallPath : `${identity.wallPath}/options/${option.id}`}
              scale={scale}
              chosen={chosen?.figures ?? null}
              several={options.length > 1}
              onCopy={() => copy(option.id)}
              onDo={(change) => changeOption(option.id, change)}
            />
          ))}
        </Cards>
      </div>
      {away.length > 0 ? (
        <Row>
          <Soft>{agreeText.archived(away.length)}</Soft>
          {away.map(({ id, name }) => (
            <Button key={id} $kind="quiet" onPress={() => changeOption(id, { kind: 'restore' })}>
              {agreeText.restore(name)}
            </Button>
          ))}
        </Row>
      ) : null}
      <Soft>
        {agreeText.help} {agreeText.ratesNote}
        {chosen?.figures ? ` ${chosen.name}: ${minutesText(chosen.figures.weigh)} h.` : ''}
      </Soft>
      <Fold title={agreeText.tryTitle} open>
        <TryFold yard={yard} />
      </Fold>
    </AgreeFrame>
  )
}

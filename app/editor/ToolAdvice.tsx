import { Link } from 'react-router'
import { closureWith, isTrueEnough, offOver } from '~/core/evenness/tools'
import { nearestNanometer } from '~/length'
import { evenText, provedName, sayWithUnit, toolsText } from '~/messages'
import type { ToolProved } from '~/model'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft } from '~/ui/page'
import { useWallEditor } from './WallEditor'

/** What the crew's tools are off by on this wall, where that matters; nothing for tools that are true, or were never proved. */
export function ToolAdvice({ of }: { readonly of: readonly ToolProved[] }) {
  const { identity, workpiece, wording, edit } = useWallEditor()
  const { closure, fit } = workpiece.settings
  const { width } = workpiece.wall.survey
  const { proved } = identity.crew
  const told = proved.filter(
    (each) =>
      of.includes(each.tool) && (each.over === null ? each.error !== 0 : !isTrueEnough(each, width, fit)),
  )
  if (told.length === 0) return null
  const wider = closureWith(closure, told)
  const hook = told.some(({ tool }) => tool === 'tapeHook')
  return (
    <section aria-label={evenText.tools} data-tool-advice>
      {told.map((each) => (
        <Soft key={each.tool}>
          <b>{provedName(each.tool)}</b>: <Fractions text={toolsText.found(each, wording)} />{' '}
          {each.over === null ? null : (
            <Fractions
              text={toolsText.line(
                sayWithUnit(nearestNanometer(Math.abs(offOver(each, width))), wording),
                sayWithUnit(width, wording),
                false,
              )}
            />
          )}
        </Soft>
      ))}
      <Row>
        {hook && of.includes('tapeHook') && wider > closure ? (
          <Button onPress={() => edit([{ type: 'patchSettings', patch: { closure: wider } }], 'done')}>
            <Fractions text={toolsText.allow(sayWithUnit(wider, wording))} />
          </Button>
        ) : null}
        <Link to="/tools">{evenText.tools}</Link>
      </Row>
    </section>
  )
}

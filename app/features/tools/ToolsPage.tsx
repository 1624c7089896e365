import { useState, useSyncExternalStore } from 'react'
import { Link } from 'react-router'
import {
  errorOfHook,
  errorOfTurned,
  isTrueEnough,
  offOver,
  type Proved,
  PROVE_AGAIN_MS,
  toolsProved,
} from '~/core/evenness/tools'
import { useYard } from '~/editor/useYard'
import { inches, type Length, nearestNanometer, type Tape, type Units, ZERO } from '~/length'
import { provedName, sayWithUnit, toolsText, type Wording, whyNot } from '~/messages'
import { type ToolProved, TOOLS_PROVED, type YardAct } from '~/model'
import { AnywhereButtons } from '~/ui/anywhere'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { LengthField } from '~/ui/LengthField'
import { Logo } from '~/ui/Logo'
import { PageHeader, Trail } from '~/ui/PageHeader'
import { PageMain, Row, Sheet, Soft } from '~/ui/page'

const never = () => () => undefined

/** Turning tools round: a level, a laser, a tape's hook, and what each is off by. */
export function ToolsPage({
  acts: known,
  units,
  tape,
  fit,
}: {
  readonly acts: readonly YardAct[]
  readonly units: Units
  readonly tape: Tape
  readonly fit: Length | null
}) {
  const { acts, record } = useYard(known)
  const proved = toolsProved(acts)
  const wording: Wording = { format: { units, tape }, materials: [] }
  return (
    <>
      <PageHeader>
        <Link to="/" aria-label="Regla, all jobs" style={{ color: 'var(--ink)' }}>
          <Logo />
        </Link>
        <Trail aria-label="Where this page is">
          <strong>{toolsText.title}</strong>
        </Trail>
        <Row>
          <AnywhereButtons />
        </Row>
      </PageHeader>
      <PageMain>
        <h1>{toolsText.title}</h1>
        <p>{toolsText.lead}</p>
        {TOOLS_PROVED.map((tool) => (
          <ToolPart
            key={tool}
            tool={tool}
            proved={proved.find((each) => each.tool === tool) ?? null}
            wording={wording}
            fit={fit ?? inches(1 / 16)}
            onKeep={(error, over) => record({ kind: 'toolProved', tool, error, over })}
          />
        ))}
      </PageMain>
    </>
  )
}

/** A usual wall, to say what a tool is off by on one. */
const A_WALL = inches(144)

function ToolPart({
  tool,
  proved,
  wording,
  fit,
  onKeep,
}: {
  readonly tool: ToolProved
  readonly proved: Proved | null
  readonly wording: Wording
  readonly fit: Length
  readonly onKeep: (error: Length, over: Length | null) => void
}) {
  const isHook = tool === 'tapeHook'
  const [first, setFirst] = useState<Length | null>(null)
  const [second, setSecond] = useState<Length | null>(null)
  const here = useSyncExternalStore(
    never,
    () => true,
    () => false,
  )
  const ready = first !== null && second !== null && (isHook || second > 0)
  const keep = () => {
    if (first === null || second === null) return
    onKeep(isHook ? errorOfHook(first, second) : errorOfTurned(0, first), isHook ? null : second)
    setFirst(null)
    setSecond(null)
  }
  const off = proved?.over ? Math.abs(offOver(proved, A_WALL)) : 0
  return (
    <Sheet aria-label={provedName(tool)} data-tool={tool}>
      <h2>{provedName(tool)}</h2>
      <ol>
        {toolsText.how(tool).map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <Row>
        <LengthField
          label={isHook ? toolsText.pushed : toolsText.apart}
          value={first}
          format={wording.format}
          onChange={setFirst}
        />
        <LengthField
          label={isHook ? toolsText.pulled : toolsText.over}
          value={second}
          format={wording.format}
          least={isHook ? ZERO : (1 as Length)}
          onChange={setSecond}
        />
        <Button $kind="main" isDisabled={!ready} why={whyNot.tool} onPress={keep}>
          {toolsText.keep}
        </Button>
      </Row>
      <p role="status" data-testid="tool-found">
        {proved ? (
          <>
            <Fractions text={toolsText.found(proved, wording)} />{' '}
            {proved.over && proved.error !== 0 ? (
              <Fractions
                text={toolsText.line(
                  sayWithUnit(nearestNanometer(off), wording),
                  sayWithUnit(A_WALL, wording),
                  isTrueEnough(proved, A_WALL, fit),
                )}
              />
            ) : null}
          </>
        ) : (
          toolsText.never
        )}
      </p>
      {proved && here ? (
        <Soft>
          {toolsText.when(new Date(proved.provedAt).toLocaleDateString('en-US'))}{' '}
          {Date.now() - proved.provedAt > PROVE_AGAIN_MS ? toolsText.again : ''}
        </Soft>
      ) : null}
    </Sheet>
  )
}

import { Dialog, DialogTrigger, Popover } from 'react-aria-components'
import { styled } from 'styled-components'
import { tapesFor, type Tape, type Units } from '~/length'
import { tapeName, unitsName } from '~/messages'
import { THEME_COOKIE, THEMES } from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Fractions } from '~/ui/Fractions'
import { Row } from '~/ui/page'
import { space } from '~/ui/theme'
import { useWallEditor } from './WallEditor'

const Surface = styled(Popover)`
  width: 300px;
  background: var(--raised);
  color: var(--ink);
  border: 1px solid var(--line);
  border-radius: 8px;
  box-shadow: 0 8px 28px rgb(0 0 0 / 0.22);
  padding: ${space.l};
`
const Body = styled(Dialog)`
  outline: none;
  display: grid;
  gap: ${space.m};
`

function wearTheme(theme: string) {
  document.documentElement.dataset.theme = theme
  document.cookie = `${THEME_COOKIE}=${theme}; path=/; max-age=31536000; samesite=lax`
}

/** Units, tape and look; a change of units rewrites no length, only how it is written. */
export function JobSettings() {
  const { workpiece, edit } = useWallEditor()
  const { units, tape } = workpiece.settings
  const setUnits = (next: Units) => {
    const kept = tapesFor(next).includes(tape) ? tape : (tapesFor(next)[1] ?? tape)
    edit([{ type: 'patchSettings', patch: { units: next, tape: kept } }], 'done')
  }
  return (
    <DialogTrigger>
      <Button $kind="quiet" aria-label={`Units and tape: ${unitsName(units)}, ${tapeName(tape)}`}>
        <Fractions text={`${unitsName(units)}, ${tapeName(tape)}`} />
      </Button>
      <Surface>
        <Body aria-label="Units and tape">
          <Choice<Units>
            label="Lengths in"
            value={units}
            options={(['inches', 'feet-inches', 'mm'] as const).map((id) => ({ id, text: unitsName(id) }))}
            onChange={setUnits}
          />
          <Choice<Tape>
            label="Tape read to"
            value={tape}
            options={tapesFor(units).map((id) => ({ id, text: tapeName(id) }))}
            onChange={(next) => edit([{ type: 'patchSettings', patch: { tape: next } }], 'done')}
          />
          <Row role="group" aria-label="Look">
            {THEMES.map((theme) => (
              <Button key={theme} onPress={() => wearTheme(theme)}>
                {{ light: 'Day', dark: 'Night', site: 'Site' }[theme]}
              </Button>
            ))}
          </Row>
        </Body>
      </Surface>
    </DialogTrigger>
  )
}

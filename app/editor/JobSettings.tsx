import { DialogTrigger } from 'react-aria-components'
import { inches, tapesFor, type Tape, type Units, ZERO } from '~/length'
import { tapeName, unitsName } from '~/messages'
import { THEME_COOKIE, THEMES } from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Fractions } from '~/ui/Fractions'
import { Row } from '~/ui/page'
import { EditLength } from './EditLength'
import { useWallEditor } from './WallEditor'
import { PopoverBody, PopoverCard } from '~/ui/PopoverCard'

function wearTheme(theme: string) {
  document.documentElement.dataset.theme = theme
  document.cookie = `${THEME_COOKIE}=${theme}; path=/; max-age=31536000; samesite=lax`
}

/** A tolerance of the job. */
function Tolerance({ field, label }: { field: 'closure' | 'fit' | 'caulk'; label: string }) {
  const { workpiece } = useWallEditor()
  return (
    <EditLength
      field={`settings.${field}`}
      label={label}
      value={workpiece.settings[field]}
      least={ZERO}
      most={inches(2)}
      toEdits={(value) => [{ type: 'patchSettings', patch: { [field]: value } }]}
    />
  )
}

/** Units, tape, tolerances and look; a change of units rewrites no length, only how it is written. */
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
      <PopoverCard>
        <PopoverBody aria-label="Units and tape">
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
          <Tolerance field="closure" label="Two readings of one thing may differ by" />
          <Tolerance field="fit" label="A piece may miss its place by" />
          <Tolerance field="caulk" label="Widest seam to caulk" />
          <Row role="group" aria-label="Look">
            {THEMES.map((theme) => (
              <Button key={theme} onPress={() => wearTheme(theme)}>
                {{ light: 'Day', dark: 'Night', site: 'Site' }[theme]}
              </Button>
            ))}
          </Row>
        </PopoverBody>
      </PopoverCard>
    </DialogTrigger>
  )
}

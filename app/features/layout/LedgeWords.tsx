import { EditLengthWord } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { inches, millimeters, ZERO } from '~/length'
import { ledgeText as text } from '~/messages'
import { type Edit, type Ledge, LEDGE_ENDS, type Material } from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'

/** As a shelf starts: its stuff's width, square ends, no brackets. */
const USUAL: Ledge = { depth: null, past: ZERO, ends: 'square', brackets: null }
const EVERY = ['0', '1', '2'] as const

/** What a cap or a shelf that lies flat has besides its stuff: depth, ends, brackets, as words of its sentence. */
export function LedgeWords({
  name,
  field,
  material,
  ledge,
  toEdits,
}: {
  name: string
  field: string
  material: Material | undefined
  ledge: Ledge | undefined
  toEdits: (next: Ledge | undefined) => readonly Edit[]
}) {
  const { edit, workpiece } = useWallEditor()
  if (!ledge)
    return (
      <>
        {' '}
        <Button
          $kind="quiet"
          aria-label={`${name}: ${text.add}`}
          onPress={() => edit(toEdits(USUAL), 'done')}
        >
          {text.add}
        </Button>
      </>
    )
  const put = (patch: Partial<Ledge>) => toEdits({ ...ledge, ...patch })
  const depth = ledge.depth ?? material?.width ?? inches(1)
  const { brackets } = ledge
  return (
    <>
      , {/* */}
      <EditLengthWord
        field={`${field}.depth`}
        label={`${name}: ${text.depth}`}
        value={depth}
        least={inches(0.25)}
        most={inches(36)}
        toEdits={(value) => put({ depth: value })}
      />{' '}
      deep,{' '}
      <EditLengthWord
        field={`${field}.past`}
        label={`${name}: ${text.past}`}
        value={ledge.past}
        least={ZERO}
        most={inches(12)}
        toEdits={(past) => put({ past })}
      />{' '}
      past its free ends, which are{' '}
      <Choice
        word
        label={`${name}: ${text.ends}`}
        value={ledge.ends}
        options={LEDGE_ENDS.map((id) => ({ id, text: text.endsOption(id) }))}
        onChange={(ends) => edit(put({ ends }), 'done')}
      />
      , with{' '}
      <Choice
        word
        label={`${name}: ${text.brackets}`}
        value={String(brackets?.every ?? 0)}
        options={EVERY.map((id) => ({ id: id as string, text: text.bracketsOption(Number(id)) }))}
        onChange={(id) =>
          edit(
            put({
              brackets:
                id === '0'
                  ? null
                  : {
                      arm:
                        brackets?.arm ?? (workpiece.settings.units === 'mm' ? millimeters(100) : inches(4)),
                      every: Number(id),
                    },
            }),
            'done',
          )
        }
      />
      {brackets ? (
        <>
          {' '}
          that reaches{' '}
          <EditLengthWord
            field={`${field}.arm`}
            label={`${name}: ${text.arm}`}
            value={brackets.arm}
            least={inches(0.5)}
            most={inches(36)}
            toEdits={(arm) => put({ brackets: { ...brackets, arm } })}
          />
        </>
      ) : null}{' '}
      <Button
        $kind="quiet"
        aria-label={`${name}: ${text.remove}`}
        onPress={() => edit(toEdits(undefined), 'done')}
      >
        {text.remove}
      </Button>
    </>
  )
}

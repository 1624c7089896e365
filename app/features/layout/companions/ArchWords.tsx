import { Trash2 } from 'lucide-react'
import { placeArch } from '~/core/companions/arch'
import { EditLengthWord } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { inches, type Length, ZERO } from '~/length'
import { archKindName, archText } from '~/messages'
import { type Arch, ARCH_KINDS, type Edit } from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'
import { Sentence } from '~/ui/Sentence'
import { MiddleWords } from './MiddleWords'

interface ArchProps {
  readonly arch: Arch
  readonly nth: number
  readonly toEdits: (arch: Arch) => readonly Edit[]
  readonly away: () => void
}

/** An arch as a sentence of controls, and what it is struck by. */
export function ArchWords({ arch, nth, toEdits, away }: ArchProps) {
  const { plan, wording, edit } = useWallEditor()
  const put = (patch: Partial<Arch>) => edit(toEdits({ ...arch, ...patch }), 'done')
  const word = (name: 'width' | 'rise' | 'spring' | 'every', label: string, value: Length, least: Length) => (
    <EditLengthWord
      field={`design.companions.${arch.id}.${name}`}
      label={`Arch ${nth}, ${label}`}
      value={value}
      least={least}
      most={inches(2400)}
      toEdits={(next) => toEdits({ ...arch, [name]: next })}
    />
  )
  const placed = placeArch(arch, plan.layout)
  return (
    <section aria-label={`Arch ${nth}`}>
      <Sentence>
        An arch,{' '}
        <Choice
          word
          label={`Arch ${nth}, kind`}
          value={arch.kind}
          options={ARCH_KINDS.map((id) => ({ id, text: archKindName(id) }))}
          onChange={(kind) => put({ kind })}
        />
        , {word('width', 'width', arch.width, inches(2))} wide
        {arch.kind === 'half' ? null : <>, rising {word('rise', 'rise', arch.rise, inches(0.5))}</>}, from a
        spring line at {word('spring', 'spring line', arch.spring, ZERO)}, centered on{' '}
        <MiddleWords
          label={`Arch ${nth}, centered on`}
          middle={arch.middle}
          onChange={(middle) => put({ middle })}
        />
        ,{' '}
        <Choice
          word
          label={`Arch ${nth}, painted or cased`}
          value={arch.band === null ? 'painted' : 'cased'}
          options={[
            { id: 'painted', text: 'painted' },
            { id: 'cased', text: 'cased with a band outside it,' },
          ]}
          onChange={(how) => put({ band: how === 'painted' ? null : inches(2.5) })}
        />
        {arch.band === null ? null : (
          <>
            {' '}
            <EditLengthWord
              field={`design.companions.${arch.id}.band`}
              label={`Arch ${nth}, width of the band`}
              value={arch.band}
              least={inches(0.25)}
              most={inches(24)}
              toEdits={(band) => toEdits({ ...arch, band })}
            />{' '}
            wide
          </>
        )}
        ; heights every {word('every', 'heights every', arch.every, inches(0.5))}.{' '}
        <Button $kind="quiet" aria-label={`Take arch ${nth} away`} onPress={away}>
          <Trash2 size={16} aria-hidden />
        </Button>
      </Sentence>
      {placed ? (
        <Soft>
          <Fractions text={archText(placed, wording)} />
        </Soft>
      ) : null}
    </section>
  )
}

import { preparationsOf } from '~/core/stock/preparing'
import { useWallEditor } from '~/editor/WallEditor'
import { capital, materialName, prepText as text } from '~/messages'
import type { Make } from '~/model'
import { Choice } from '~/ui/Choice'
import { Pair } from '~/ui/fields'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'

/** What nobody has said yet starts as the commonest: raw dressed boards. Common practice, no source. */
const USUAL: Make = {
  stuff: 'softwood',
  surface: 'raw',
  profile: 'square',
  edges: 'sharp',
  came: 'bought',
}

function options<Key extends keyof Make>(key: Key): { id: Make[Key]; text: string }[] {
  return Object.entries(text.words[key]).map(([id, word]) => ({ id: id as Make[Key], text: word }))
}

/** What each material is and how it came, and what it needs before it is painted. */
export function Preparing() {
  const { workpiece, plan, wording, edit } = useWallEditor()
  const needs = preparationsOf(plan.pieces, workpiece)
  if (needs.length === 0) return null
  return (
    <Fold title={text.title} aside={String(needs.length)}>
      <Soft>{text.lead}</Soft>
      {needs.map(({ materialId, make, steps, length, ends }) => {
        const material = workpiece.settings.materials.find(({ id }) => id === materialId)
        if (!material) return null
        const name = materialName(materialId, wording)
        const put = (next: Make) =>
          edit([{ type: 'addMaterial', material: { ...material, make: next } }], 'done')
        const field = <Key extends keyof Make>(key: Key) => (
          <Choice<Make[Key]>
            key={key}
            label={`${name}: ${text.labels[key]}`}
            value={(make ?? USUAL)[key]}
            options={options(key)}
            onChange={(value) => put({ ...(make ?? USUAL), [key]: value })}
          />
        )
        return (
          <section key={materialId} aria-label={name} data-prepare={materialId}>
            <h3>
              <Fractions text={name} />
            </h3>
            <Soft>
              <Fractions text={text.amount(length, ends, wording)} />
            </Soft>
            <Pair>{[field('stuff'), field('surface'), field('profile'), field('edges'), field('came')]}</Pair>
            {make ? (
              <ol>
                {steps.map((step) => (
                  <li key={step} data-step={step}>
                    {capital(text.step(step))}
                  </li>
                ))}
              </ol>
            ) : (
              <Soft>{text.notSaid}</Soft>
            )}
          </section>
        )
      })}
    </Fold>
  )
}

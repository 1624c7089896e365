import { type DesignDocument, inForce, PATTERNS } from '~/model'
import type { NamedMaterial } from './patternRules'
import { rulesOf } from './rules'

/** Every place where a design names a material: in what each of its patterns has, and in the frame. */
export function materialsOf(design: DesignDocument): NamedMaterial[] {
  const named = PATTERNS.flatMap((pattern): NamedMaterial[] => {
    if (!design.patterns[pattern]) return []
    const had = inForce({ ...design, pattern })
    return [
      { at: 'battenMaterial', material: had.battenMaterial },
      ...(had.foot.kind === 'rail' ? [{ at: 'foot.material', material: had.foot.material }] : []),
      ...(had.topRail ? [{ at: 'topRail.material', material: had.topRail.material }] : []),
      ...(had.cap ? [{ at: 'cap.material', material: had.cap.material }] : []),
      ...rulesOf({ pattern }).materials(had),
    ].map(({ at, material }) => ({ at: `patterns.${pattern}.${at}`, material }))
  })
  const rails = design.frame.rails.map(({ material }, i) => ({ at: `frame.rails[${i}].material`, material }))
  return [...named, ...rails]
}

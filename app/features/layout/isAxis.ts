import type { ThingKind } from '~/model'

const AXES: readonly ThingKind[] = ['window', 'door', 'bed', 'sofa', 'table', 'sconce']

/** A thing the eye expects a layout to be symmetrical about. */
export function isAxis(kind: ThingKind): boolean {
  return AXES.includes(kind)
}

/** A document as it came: from a file, a row, another window. Nothing is known of it yet. */
export type Raw = Readonly<Record<string, unknown>>

export function isRaw(value: unknown): value is Raw {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

/** One step from a version to the next: pure, and never changed once a release has written that version. */
export type Step = (document: Raw) => Raw

/**
 * Takes a document from its version through all steps that follow. What has no version, or one there is no step for, is
 * left as it is: the schema says what is wrong with it.
 */
export function upgrade(raw: unknown, steps: Readonly<Record<number, Step>>): unknown {
  let document = raw
  while (isRaw(document) && typeof document.version === 'number') {
    const step = steps[document.version]
    if (!step) break
    document = step(document)
  }
  return document
}

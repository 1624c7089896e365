interface Matched {
  readonly id: string
  readonly loaderData?: unknown
}

/** The title of a stage of a wall: Cut · Long wall · Regla. */
export function stageTitle(stage: string) {
  return ({ matches }: { matches: readonly (Matched | undefined)[] }) => {
    const wall = matches.find((match) => match?.id === 'routes/wall' || match?.id === 'routes/option')
      ?.loaderData as { name?: string } | undefined
    return [{ title: `${stage} · ${wall?.name ?? 'Wall'} · Regla` }]
  }
}

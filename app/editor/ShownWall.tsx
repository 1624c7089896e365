import { useMemo } from 'react'
import { Outlet } from 'react-router'
import type { Act, DesignDocument, PageHistory, StoredDocument, WallOption } from '~/model'
import { type WallIdentity, WallEditorProvider } from './WallEditor'
import { Workbench } from './Workbench'

export interface ShownWallProps extends Pick<WallIdentity, 'job' | 'id' | 'name'> {
  readonly shown: Pick<
    WallIdentity,
    'room' | 'beside' | 'elsewhere' | 'asked' | 'book' | 'house' | 'crew'
  > & {
    readonly documents: readonly StoredDocument[]
    readonly history: PageHistory
    readonly acts: readonly Act[]
    readonly option: string
    readonly options: readonly (WallOption & { readonly design: DesignDocument | null })[]
  }
}

/** A wall with the option that is worked on, and the stage at work on it. */
export function ShownWall({
  job,
  id,
  name,
  shown: { room, beside, elsewhere, documents, history, acts, option, options, asked, book, house, crew },
}: ShownWallProps) {
  const identity = useMemo((): WallIdentity => {
    const own = `/jobs/${job.id}/walls/${id}`
    const worked = options.find((each) => each.id === option)
    return {
      job,
      room,
      id,
      name,
      beside,
      elsewhere,
      option: { id: option, name: worked?.name ?? '', chosen: worked?.chosen ?? true },
      options,
      asked,
      book,
      house,
      crew,
      wallPath: own,
      path: worked?.chosen === false ? `${own}/options/${option}` : own,
    }
  }, [job, room, id, name, beside, elsewhere, option, options, asked, book, house, crew])
  return (
    <WallEditorProvider identity={identity} documents={documents} history={history} acts={acts}>
      <Workbench>
        <Outlet />
      </Workbench>
    </WallEditorProvider>
  )
}

import { useEffect, useState } from 'react'
import { useStore } from 'zustand'
import { browserSaver } from '~/editor/saving/browserSaver'
import { listenToNews } from '~/offline/news'
import { bodyOf, type PageHistory, type Settings, type StoredDocument, type Work } from '~/model'

/** What a page needs to change a job's settings. */
export interface SettingsPage {
  readonly id: string
  readonly documents: readonly StoredDocument[]
  readonly history: PageHistory
}

/** The settings of a job on a page of the job's own: each change is saved as one step to undo. */
export function useJobSettings({ id, documents, history }: SettingsPage) {
  const [saver] = useState(() => browserSaver(`/jobs/${id}/work/document`, `work/${id}`, documents, history))
  useEffect(() => saver.start(), [saver])
  useEffect(() => listenToNews(saver.check), [saver])
  const held = useStore(saver.store, (state) => state.held)
  const settings: Settings = bodyOf(held as readonly StoredDocument[], 'settings')
  const put = (next: Settings) => {
    const document = held.find(({ kind }) => kind === 'settings')
    if (document) saver.put(new Map([[document.id, next]]), 0)
  }
  const change = (patch: Partial<Work>) => put({ ...settings, work: { ...settings.work, ...patch } })
  return { saver, settings, work: settings.work, change }
}

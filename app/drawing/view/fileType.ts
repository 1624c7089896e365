import { createContext } from 'react'

export interface SetType {
  readonly x: number
  readonly y: number
  readonly fontSize: number
  readonly fontWeight?: number | undefined
  readonly textAnchor?: 'start' | 'middle' | 'end' | undefined
  readonly fill?: string | undefined
  readonly fillOpacity?: number | undefined
  readonly transform?: string | undefined
}

/** How a file sets its words: as outlines, or as words its reader has the type for. On a page nothing is said: the page's type does. */
export const FileType = createContext<((text: string, type: SetType) => React.ReactNode) | null>(null)

import { useContext } from 'react'
import { FileType, type SetType } from './fileType'

/** A word on the drawing, set by whoever it is drawn for. */
export function SvgText({ text, ...type }: SetType & { readonly text: string }) {
  const set = useContext(FileType)
  return set ? set(text, type) : <text {...type}>{text}</text>
}

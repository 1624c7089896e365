import { useState } from 'react'
import { useFetcher } from 'react-router'
import { renameText } from '~/messages'
import { LIMITS, type NameClash } from '~/model'
import { Button } from './Button'
import { Alert } from './page'
import { Rename } from './Rename'

/** What is posted to give a thing another name, and where. */
export interface RenameHereProps {
  /** What is renamed: the wall, the room. */
  readonly what: string
  readonly name: string
  readonly action: string
  readonly fields: Readonly<Record<string, string>>
}

/** A pencil beside a name of something the crew shares: where another window has named it since, it is asked which is to stand. */
export function RenameHere({ what, name, action, fields }: RenameHereProps) {
  const fetcher = useFetcher<{ name?: string; nameClash?: NameClash | null }>()
  const [settled, setSettled] = useState<NameClash | null>(null)
  const post = (to: string, was: string) =>
    void fetcher.submit({ ...fields, name: to, was }, { method: 'post', action })
  const clash = fetcher.data?.nameClash ?? null
  return (
    <>
      <Rename what={what} name={name} most={LIMITS.name} onRename={(to) => post(to, name)} />
      {fetcher.data?.name ? <Alert role="alert">{fetcher.data.name}</Alert> : null}
      {clash && clash !== settled ? (
        <Alert role="alert">
          {renameText.clash(clash.now.name)}{' '}
          <Button
            onPress={() => {
              setSettled(clash)
              post(clash.mine.name, clash.now.name)
            }}
          >
            {renameText.keepMine(clash.mine.name)}
          </Button>
          <Button onPress={() => setSettled(clash)}>{renameText.leave(clash.now.name)}</Button>
        </Alert>
      ) : null}
    </>
  )
}

import { Download, Upload } from 'lucide-react'
import { FileTrigger } from 'react-aria-components'
import { useFetcher } from 'react-router'
import { backupText, whyNot } from '~/messages'
import { Button, LinkButton } from '~/ui/Button'
import { Alert, Row, Soft } from '~/ui/page'

/** Everything in one file: out at any time, in where there is nothing yet. */
export function Everything({ empty }: { readonly empty: boolean }) {
  const coming = useFetcher<{ said?: string }>()
  const take = (files: FileList | null) => {
    const file = files?.[0]
    if (!file) return
    const form = new FormData()
    form.set('everything', file)
    void coming.submit(form, { method: 'post', action: '/backup', encType: 'multipart/form-data' })
  }
  return (
    <section aria-label="Everything">
      <Row>
        {empty ? (
          <FileTrigger acceptedFileTypes={['.db']} onSelect={take}>
            <Button isDisabled={coming.state !== 'idle'} why={whyNot.loading}>
              <Upload size={18} aria-hidden /> {coming.state === 'idle' ? backupText.in : backupText.taking}
            </Button>
          </FileTrigger>
        ) : (
          <LinkButton href="/backup" download>
            <Download size={18} aria-hidden /> {backupText.out}
          </LinkButton>
        )}
      </Row>
      <Soft>{empty ? backupText.inHow : backupText.outHow}</Soft>
      {coming.data?.said ? <Alert role="alert">{coming.data.said}</Alert> : null}
    </section>
  )
}

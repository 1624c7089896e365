import { ImagePlus } from 'lucide-react'
import { useState } from 'react'
import { FileTrigger } from 'react-aria-components'
import { useFetcher } from 'react-router'
import { styled } from 'styled-components'
import { useWallEditor } from '~/editor/WallEditor'
import { fullText, photoText, whyNot } from '~/messages'
import { LIMITS, type WallPhoto } from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Alert, Row, Soft } from '~/ui/page'
import { space } from '~/ui/theme'
import { AgreeFrame } from './AgreeFrame'
import { PhotoBench } from './PhotoBench'

const Adding = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: ${space.m};
`

/** The wall on its photographs. */
export function PhotoStage({ photos }: { readonly photos: readonly WallPhoto[] }) {
  const { identity } = useWallEditor()
  const fetcher = useFetcher<{ said: string | null; away: string | null }>()
  const [picked, setPicked] = useState<string | null>(null)
  const photo = photos.find(({ id }) => id === picked) ?? photos.at(-1) ?? null
  const action = `${identity.wallPath}/photos`
  const away = fetcher.data?.away ?? null
  return (
    <AgreeFrame title={photoText.title}>
      <Adding>
        {photos.length > 1 && photo ? (
          <Choice
            label={photoText.pick}
            value={photo.id}
            options={photos.map(({ id, name }) => ({ id, text: name }))}
            onChange={setPicked}
          />
        ) : null}
        {photos.length < LIMITS.photos ? (
          <FileTrigger
            acceptedFileTypes={['image/jpeg', 'image/png', 'image/webp']}
            onSelect={(files) => {
              const file = files?.[0]
              if (!file) return
              const form = new FormData()
              form.set('file', file)
              setPicked(null)
              void fetcher.submit(form, { method: 'post', action, encType: 'multipart/form-data' })
            }}
          >
            <Button
              $kind={photo ? 'plain' : 'main'}
              isDisabled={fetcher.state !== 'idle'}
              why={whyNot.loading}
            >
              <ImagePlus size={18} aria-hidden /> {photoText.add}
            </Button>
          </FileTrigger>
        ) : (
          <Soft>{fullText('photos')}</Soft>
        )}
        {photo ? (
          <Button
            $kind="quiet"
            onPress={() =>
              void fetcher.submit({ intent: 'putAway', photo: photo.id }, { method: 'post', action })
            }
          >
            {photoText.archive}
          </Button>
        ) : null}
        {away && !photos.some(({ id }) => id === away) ? (
          <Button
            onPress={() =>
              void fetcher.submit({ intent: 'bringBack', photo: away }, { method: 'post', action })
            }
          >
            {photoText.restore}
          </Button>
        ) : null}
        {fetcher.state !== 'idle' ? <Soft role="status">{photoText.sending}</Soft> : null}
      </Adding>
      {fetcher.data?.said ? <Alert role="alert">{fetcher.data.said}</Alert> : null}
      {photo ? (
        <PhotoBench key={photo.id} photo={photo} url={`${action}/${photo.id}`} />
      ) : (
        <Row>
          <Soft>{photoText.none}</Soft>
        </Row>
      )}
      <Soft>{photoText.help}</Soft>
    </AgreeFrame>
  )
}

import { Ear, EarOff, Volume2, VolumeX } from 'lucide-react'
import { stepText } from '~/messages'
import { Row } from '~/ui/page'
import { ThumbDim, WalkSoft } from '~/ui/walk'
import type { useVoice } from './useVoice'

/** Reading aloud and listening for "next", where the browser can. */
export function VoiceRow({ voice }: { readonly voice: ReturnType<typeof useVoice> }) {
  const { aloud, toggleAloud, listens, canListen, toggleListening } = voice
  const Sound = aloud ? Volume2 : VolumeX
  const Hears = listens ? Ear : EarOff
  return (
    <>
      <Row>
        <ThumbDim aria-pressed={aloud} onPress={toggleAloud}>
          <Sound size={20} aria-hidden /> {aloud ? stepText.aloudOff : stepText.aloud}
        </ThumbDim>
        <ThumbDim aria-pressed={listens} onPress={toggleListening}>
          <Hears size={20} aria-hidden /> {listens ? stepText.listenOff : stepText.listen}
        </ThumbDim>
      </Row>
      {canListen ? null : <WalkSoft role="status">{stepText.noListen}</WalkSoft>}
    </>
  )
}

import { Check, ChevronLeft, ChevronRight } from 'lucide-react'
import { Link } from 'react-router'
import { styled } from 'styled-components'
import { StageClock } from '~/editor/StageClock'
import { useAwake } from '~/editor/useAwake'
import { useVoice } from '~/editor/useVoice'
import { VoiceRow } from '~/editor/VoiceRow'
import { useWallEditor } from '~/editor/WallEditor'
import { clockText, fitText, markText } from '~/messages'
import { Fractions } from '~/ui/Fractions'
import { space } from '~/ui/theme'
import { Far, Huge, ThumbBar, ThumbDim, ThumbNext, WalkCard, WalkSoft, WalkState } from '~/ui/walk'
import { FitPiece } from './FitPiece'
import { whereText } from './fitWords'
import type { Fit } from './useFit'

const Number = styled(Huge)`
  white-space: nowrap;
`
const Bar = styled(ThumbBar)`
  gap: ${space.s};
`

/** At the wall: one piece at a time, where it goes in one number, up with a thumb. */
export function FitWalk({ fit }: { readonly fit: Fit }) {
  const { wording } = useWallEditor()
  const { stops, at, stop, goTo, next, record, isOpen, last, takeDown } = fit
  const awake = useAwake()
  const words = stop ? whereText(stop, wording) : null
  const voice = useVoice(words ? `${words.name}, ${words.strip}: ${words.number}` : '', next)
  if (!stop || !words) return null
  const up = stops.filter((each) => !isOpen(each)).length
  const { state } = stop
  const times = state?.spoiled.length ?? 0
  return (
    <WalkCard aria-label={fitText.walk}>
      {up === stops.length ? (
        <Far role="status">
          <Check size={24} aria-hidden /> {fitText.allUp(stops.length)}. {fitText.next}{' '}
          <Link to="../finish" style={{ color: 'inherit' }}>
            {fitText.finish}
          </Link>
        </Far>
      ) : null}
      <Far data-testid="fit-where">
        {words.name} · {words.strip}
        <small>{fitText.place(at + 1, stops.length)}</small>
      </Far>
      <Far>{words.from}</Far>
      <Number data-testid="huge-fit" aria-live="polite">
        <Fractions text={words.number} />
      </Number>
      <WalkSoft>
        <Fractions text={[words.side, words.more, words.also].filter((each) => each !== '').join(', ')} />
      </WalkSoft>
      <WalkState last={last && { text: fitText.undoUp(last.name), undo: () => takeDown(last) }}>
        {fitText.count(up, stops.length)}
        {state?.upAt ? `. ${fitText.upAt(clockText(state.upAt))}` : ''}
        {state?.skipped ? `. ${fitText.skipped}` : ''}
        {times > 0 ? `. ${fitText.spoiledOnce(times)}` : ''}
      </WalkState>
      <FitPiece stop={stop} fit={fit} />
      <VoiceRow voice={voice} />
      <StageClock stage="fit" dark />
      {awake === 'none' ? <WalkSoft>{markText.awake}</WalkSoft> : null}
      <Bar data-thumb-bar $columns="64px 88px 1fr">
        <ThumbDim aria-label={fitText.backTo} onPress={() => goTo(at - 1)}>
          <ChevronLeft size={28} aria-hidden />
        </ThumbDim>
        <ThumbDim
          onPress={() => {
            if (isOpen(stop)) record(stop, { kind: 'skipped' })
            goTo(at + 1)
          }}
        >
          {fitText.skip}
        </ThumbDim>
        <ThumbNext onPress={next}>
          {isOpen(stop) ? fitText.fitted : 'Next'} <ChevronRight size={26} aria-hidden />
        </ThumbNext>
      </Bar>
    </WalkCard>
  )
}

import { useRef, useState } from 'react'
import { drawingText } from '~/messages'
import type { Workpiece } from '~/model'
import { useWallEditor, useWallNow } from './WallEditor'

/** What was pulled by hand: the wall before, the wall it came to, and what stood there. */
interface Pulled {
  readonly before: Workpiece
  readonly text: string
}

/** Remembers the last pull, so that one press nearby takes it back; forgotten once anything else is changed. */
export function usePutBack() {
  const { workpiece, latest } = useWallNow()
  const gripped = useRef<Pulled | null>(null)
  const [pulled, setPulled] = useState<(Pulled & { readonly after: Workpiece }) | null>(null)
  return {
    grip: (text: string) => {
      gripped.current = { before: workpiece, text }
      setPulled(null)
    },
    /** To be called once the pull is carried out; one that came to nothing leaves nothing to put back. */
    letGo: () => {
      const after = latest()
      if (gripped.current && gripped.current.before !== after) setPulled({ ...gripped.current, after })
      gripped.current = null
    },
    pulled: pulled?.after === workpiece ? pulled : null,
    forget: () => setPulled(null),
  }
}

/** Beside what was pulled: one press puts it back. */
export function PutBackButton({ x, y, put }: { x: number; y: number; put: ReturnType<typeof usePutBack> }) {
  const { restore } = useWallEditor()
  const { pulled, forget } = put
  if (!pulled) return null
  const text = drawingText.putBack(pulled.text)
  const width = 26 + text.length * 7.6
  const act = () => {
    restore(pulled.before)
    forget()
  }
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={text}
      data-put-back
      cursor="pointer"
      onClick={act}
      onKeyDown={({ key }) => {
        if (key === 'Enter' || key === ' ') act()
      }}
    >
      <rect x={x} y={y - 24} width={width} height={48} fill="transparent" />
      <rect
        x={x}
        y={y - 17}
        width={width}
        height={34}
        rx={6}
        fill="var(--raised)"
        stroke="var(--chalk)"
        strokeWidth={1.5}
      />
      <text
        x={x + width / 2}
        y={y + 5}
        textAnchor="middle"
        fontSize={14}
        fontWeight={650}
        fill="var(--chalk)"
      >
        {text}
      </text>
    </g>
  )
}

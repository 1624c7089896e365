import { useEffect, useState } from 'react'

import { Unseen } from '~/ui/page'
import { closingText, findingText, restText } from '~/messages'
import { useWallEditor } from './WallEditor'

/** Told once the hand has rested for so long. */
const CALM_MS = 900

/** Tells whoever does not see the page what a change came to: the closing sum, and what is wrong. */
export function Announcer() {
  const { plan, wording } = useWallEditor()
  const wrong = plan.findings
    .filter(({ severity, stage }) => severity === 'wrong' && stage === 'layout')
    .map(({ says }) => findingText(says, wording))
  const text = restText(closingText(plan, wording), wrong)
  const [said, setSaid] = useState(text)
  useEffect(() => {
    const timer = setTimeout(() => setSaid(text), CALM_MS)
    return () => clearTimeout(timer)
  }, [text])
  return (
    <Unseen as="p" role="status" data-testid="announced">
      {said}
    </Unseen>
  )
}

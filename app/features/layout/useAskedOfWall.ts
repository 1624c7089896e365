import { useMemo } from 'react'
import { useCutFacts, useWallEditor } from '~/editor/WallEditor'
import type { AskedOfWall } from '~/workers/proposalsClient'

/** The wall in hand and what of it is cut, as searches of layouts ask for them. */
export function useAskedOfWall(): AskedOfWall {
  const { workpiece } = useWallEditor()
  const facts = useCutFacts()
  return useMemo(() => ({ workpiece, facts }), [workpiece, facts])
}

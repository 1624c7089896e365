import { useMemo } from 'react'
import { type ChoiceCost, choiceCost } from '~/core/agree/choiceCost'
import type { OptionFigures } from '~/core/agree/optionFigures'
import type { Plan } from '~/core/computePlan'
import { workWithLearned } from '~/core/log/rates'
import { planOf } from '~/editor/planOf'
import { useWorkerAnswer } from '~/editor/useWorkerAnswer'
import { useCutFacts, useOutbox, useWallEditor } from '~/editor/WallEditor'
import type { Workpiece } from '~/model'
import { findFigures } from '~/workers/boardsClient'
import { useStore } from 'zustand'

/** An option as it is compared: drawn at once, its figures as soon as a worker has them. */
export interface ComparedOption {
  readonly id: string
  readonly name: string
  readonly chosen: boolean
  readonly worked: boolean
  readonly workpiece: Workpiece
  readonly plan: Plan
  readonly figures: OptionFigures | null
  /** What choosing it costs by what is cut already. */
  readonly cost: ChoiceCost | null
}

/** The options of the wall in hand, the one that is worked on as it is now. */
export function useOptions() {
  const { identity, workpiece } = useWallEditor()
  const acts = useStore(useOutbox().store, (state) => state.acts)
  const shown = useMemo(
    () =>
      identity.options.flatMap(({ id, name, chosen, archived, design }) => {
        const worked = id === identity.option.id
        if ((archived && !worked) || (!design && !worked)) return []
        const own: Workpiece =
          worked || !design ? workpiece : { ...workpiece, wall: { ...workpiece.wall, design } }
        return [{ id, name, chosen, worked, workpiece: own }]
      }),
    [identity, workpiece],
  )
  const { rates } = identity.crew
  // hours go by the crew's own pace
  const facts = useCutFacts()
  const asked = useMemo(
    () => ({
      options: shown.map(({ workpiece: each }): Workpiece => ({
        ...each,
        settings: { ...each.settings, work: workWithLearned(each.settings.work, rates) },
      })),
      facts,
    }),
    [shown, rates, facts],
  )
  const { answer, searching, failed } = useWorkerAnswer(asked, findFigures, true)
  const options = useMemo(
    () =>
      shown.map((each, i): ComparedOption => ({
        ...each,
        plan: planOf(each.workpiece),
        figures: searching ? null : (answer?.[i] ?? null),
        cost: each.chosen ? null : choiceCost(acts, each.workpiece),
      })),
    [shown, answer, searching, acts],
  )
  return { options, failed: failed && !searching }
}

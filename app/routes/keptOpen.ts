import type { ShouldRevalidateFunctionArgs } from 'react-router'
import { isAskedAnew } from '~/editor/askedAnew'

/**
 * When a wall's page is loaded anew: for another wall or option, after a form, and where it is asked for, as when another option was chosen.
 * Else the browser's copy is the one being worked on while the page is open.
 */
export const keptOpen =
  (of: 'wallId' | 'optionId') =>
  ({ currentParams, nextParams, formMethod }: ShouldRevalidateFunctionArgs): boolean =>
    isAskedAnew() || formMethod === 'POST' || currentParams[of] !== nextParams[of]

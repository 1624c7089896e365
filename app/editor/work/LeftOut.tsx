import { boardsText } from '~/messages'
import { Alert } from '~/ui/page'

/** Walls that can't be read or planned: what is shown is without them, and that is said. */
export function LeftOut({ names }: { readonly names: readonly string[] }) {
  return names.length > 0 ? <Alert role="alert">{boardsText.unreadable(names)}</Alert> : null
}

import { useRouteLoaderData } from 'react-router'
import { may, ON_THE_MACHINE, type Right, type Standing } from '~/model'

/** Whether whoever looks may do what takes a right: what they may not is not shown. The server looks again. */
export function useMay(): (right: Right) => boolean {
  const root = useRouteLoaderData<{ standing?: Standing }>('root')
  const standing = root?.standing ?? ON_THE_MACHINE
  return (right) => may(standing, right)
}

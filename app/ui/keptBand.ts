import { css } from 'styled-components'
import { space, type } from './theme'

/** The band of a page that was kept: over everything, in sight however far the page is scrolled. */
export const keptBand = css`
  position: sticky;
  z-index: 8;
  top: 0;
  display: block;
  min-height: 32px;
  padding: ${space.xs} ${space.m};
  background: var(--rod);
  color: var(--rod-ink);
  font-size: ${type.body};
  font-weight: 600;
`

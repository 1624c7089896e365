import { styled } from 'styled-components'
import { type } from '~/ui/theme'

/** A line of a card. */
export const Small = styled.p`
  font-size: ${type.body};
  line-height: 1.35;
`

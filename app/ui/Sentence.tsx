import { styled } from 'styled-components'
import { narrow, type } from './theme'

/** Text whose underlined words are its controls; lines far enough apart for a thumb. */
export const Sentence = styled.div`
  font-size: ${type.lead};
  line-height: 2.1;
  ${narrow} {
    line-height: 2.9;
  }
`

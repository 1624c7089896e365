import { createGlobalStyle, styled } from 'styled-components'
import type { Palette } from '~/drawing/view/palette'

/** The client's page has colors of its own: it is one light page that prints as it stands. */
export const PLAIN = {
  paper: '#fbf8f1',
  raised: '#ffffff',
  ink: '#23282b',
  soft: '#565d60',
  line: '#d5cdbb',
  edge: '#857b66',
  chalk: '#1b5a9c',
  red: '#b3261a',
  redWash: '#f8e1dc',
  green: '#1f6a3d',
  greenWash: '#e2efe4',
} as const

/** The same for its drawings. */
export const PLAIN_PALETTE: Palette = {
  wall: '#f6f3ea',
  field: '#60766f',
  strip: '#9db3ad',
  stripEdge: '#2c3a37',
  shade: '#1d2725',
  ink: PLAIN.ink,
  soft: PLAIN.soft,
  paper: PLAIN.paper,
  chalk: PLAIN.chalk,
  chalkWash: '#dfeaf5',
  red: PLAIN.red,
  rod: '#f2e3c0',
  rodEdge: '#a88c52',
  rodInk: '#4d3c17',
}

export const ClientBase = createGlobalStyle<{ $font: string }>`
  @font-face {
    font-family: 'Archivo Variable';
    src: url(${({ $font }) => $font}) format('woff2');
    font-weight: 100 900;
    font-display: swap;
  }
  * { box-sizing: border-box; }
  body {
    margin: 0;
    background: ${PLAIN.paper};
    color: ${PLAIN.ink};
    font: 17px/1.5 'Archivo Variable', Archivo, Arial, sans-serif;
  }
  h1, h2, h3, p, fieldset, ul { margin: 0; padding: 0; border: 0; }
  ul { list-style: none; }
  h1 { font-size: 30px; line-height: 1.2; }
  h2 { font-size: 24px; }
  h3 { font-size: 19px; }
  :focus-visible { outline: 3px solid ${PLAIN.chalk}; outline-offset: 2px; }
  @media print { [data-answer], canvas { display: none; } }
`

export const Part = styled.section`
  display: grid;
  gap: 14px;
  padding-top: 18px;
  border-top: 2px solid ${PLAIN.line};
`
export const Field = styled.label`
  display: grid;
  gap: 4px;
  font-weight: 600;
  & input,
  & select,
  & textarea {
    min-height: 48px;
    padding: 8px 12px;
    border: 1px solid ${PLAIN.edge};
    border-radius: 6px;
    background: ${PLAIN.raised};
    color: ${PLAIN.ink};
    font: inherit;
    font-weight: 400;
    width: 100%;
  }
`
export const Press = styled.button<{ $main?: boolean }>`
  min-height: 48px;
  padding: 8px 18px;
  border-radius: 6px;
  border: 1px solid ${PLAIN.ink};
  background: ${({ $main }) => ($main ? PLAIN.ink : PLAIN.raised)};
  color: ${({ $main }) => ($main ? '#f7f2e6' : PLAIN.ink)};
  font: inherit;
  font-weight: 650;
  cursor: pointer;
  justify-self: start;
`
export const Quiet = styled.p`
  color: ${PLAIN.soft};
`
export const ChangedBand = styled.p`
  padding: 8px 12px;
  border-left: 5px solid ${PLAIN.red};
  background: ${PLAIN.redWash};
`

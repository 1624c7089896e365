import { css } from 'styled-components'

const light = css`
  color-scheme: light;
  --paper: #fbf8f1;
  --plaster: #efebe0;
  --raised: #ffffff;
  --ink: #23282b;
  --ink-soft: #565d60;
  --line: #d5cdbb;
  --edge: #857b66;
  --chalk: #1b5a9c;
  --chalk-wash: #dfeaf5;
  --red: #b3261a;
  --red-wash: #f8e1dc;
  --green: #1f6a3d;
  --green-wash: #e2efe4;
  --rod: #f2e3c0;
  --rod-edge: #a88c52;
  --rod-ink: #4d3c17;
  --bar: #23282b;
  --bar-ink: #f7f2e6;
  --bar-soft: #b9bdb8;
  --bar-good: #a5e0b5;
  --bar-bad: #ffb3a5;
  --wall: #f6f3ea;
  --wall-below: #60766f;
  --strip: #7d9791;
  --strip-edge: #2c3a37;
  --shade: #1d2725;
  --board: #e9d9b6;
`

const dark = css`
  color-scheme: dark;
  --paper: #1c2022;
  --plaster: #15181a;
  --raised: #262b2e;
  --ink: #f1ede2;
  --ink-soft: #b3b4ac;
  --line: #41474a;
  --edge: #7f878b;
  --chalk: #8fc1f5;
  --chalk-wash: #1f3a55;
  --red: #ff9a88;
  --red-wash: #4a221c;
  --green: #8fd3a3;
  --green-wash: #1d3826;
  --rod: #d9c493;
  --rod-edge: #8c7443;
  --rod-ink: #3a2d10;
  --bar: #0d0f10;
  --bar-ink: #f7f2e6;
  --bar-soft: #b9bdb8;
  --bar-good: #a5e0b5;
  --bar-bad: #ffb3a5;
  --wall: #33393b;
  --wall-below: #475b57;
  --strip: #63807a;
  --strip-edge: #10181a;
  --shade: #0a0f10;
  --board: #cdb98b;
`

const site = css`
  color-scheme: light;
  --paper: #ffffff;
  --plaster: #ffffff;
  --raised: #ffffff;
  --ink: #000000;
  --ink-soft: #1d1d1d;
  --line: #000000;
  --edge: #000000;
  --chalk: #003b84;
  --chalk-wash: #ffe96b;
  --red: #8c0b00;
  --red-wash: #ffffff;
  --green: #00461c;
  --green-wash: #ffffff;
  --rod: #ffe96b;
  --rod-edge: #000000;
  --rod-ink: #000000;
  --bar: #000000;
  --bar-ink: #ffffff;
  --bar-soft: #ffffff;
  --bar-good: #ffffff;
  --bar-bad: #ffb3a5;
  --wall: #ffffff;
  --wall-below: #ffffff;
  --strip: #c9c9c9;
  --strip-edge: #000000;
  --shade: #000000;
  --board: #ffffff;
`

const forced = css`
  --paper: Canvas;
  --plaster: Canvas;
  --raised: Canvas;
  --ink: CanvasText;
  --ink-soft: CanvasText;
  --line: CanvasText;
  --edge: CanvasText;
  --chalk: LinkText;
  --chalk-wash: Canvas;
  --red: LinkText;
  --red-wash: Canvas;
  --green: CanvasText;
  --green-wash: Canvas;
  --rod: Canvas;
  --rod-edge: CanvasText;
  --rod-ink: CanvasText;
  --bar: Canvas;
  --bar-ink: CanvasText;
  --bar-soft: CanvasText;
  --bar-good: CanvasText;
  --bar-bad: CanvasText;
  --wall: Canvas;
  --wall-below: Canvas;
  --strip: ButtonFace;
  --strip-edge: CanvasText;
  --shade: CanvasText;
  --board: Canvas;
`

/** Colors by theme; everything visible takes its color from these names. */
export const themes = css`
  :root {
    ${light}
  }
  :root {
    --small: 0.8125rem;
  }
  /* at the wall nothing is smaller than 14 px */
  @media (pointer: coarse), (max-width: 860px) {
    :root {
      --small: 0.875rem;
    }
  }
  :root[data-theme='dark'] {
    ${dark}
  }
  :root[data-theme='site'] {
    ${site}
  }
  /* the drawing's colors are not forced by themselves */
  @media (forced-colors: active) {
    :root,
    :root[data-theme] {
      ${forced}
    }
  }
  /* paper is white, its print black, whatever the screen was */
  @media print {
    :root,
    :root[data-theme] {
      ${site}
      --chalk: #000000;
      --chalk-wash: #ffffff;
      --red: #000000;
      --green: #000000;
      --rod: #ffffff;
      --strip: #dddddd;
    }
  }
`

/** One scale of spaces and few sizes of type. */
export const space = { xs: '4px', s: '8px', m: '12px', l: '20px', xl: '32px' } as const
export const type = { small: 'var(--small)', body: '0.9375rem', lead: '1.125rem', title: '1.5rem' } as const

/** Below this width the side panel goes under the drawing. */
const NARROW = '860px'
export const narrow = `@media (max-width: ${NARROW})`

/** Where a thumb does the work: touch screens, and narrow windows like a phone's. */
export const touch = `@media (pointer: coarse), (max-width: ${NARROW})`

/** A phone that lies on its side: wide, and very little height. */
export const low = `@media (max-width: ${NARROW}) and (max-height: 480px)`

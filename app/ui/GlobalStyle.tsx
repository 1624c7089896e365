import { createGlobalStyle } from 'styled-components'
import { keptBand } from './keptBand'
import { themes, type } from './theme'

export const GlobalStyle = createGlobalStyle`
  ${themes}
  *, *::before, *::after { box-sizing: border-box; }
  html { -webkit-text-size-adjust: 100%; }
  body {
    margin: 0;
    background: var(--plaster);
    color: var(--ink);
    font-family: 'Archivo Variable', system-ui, sans-serif;
    font-size: ${type.body};
    line-height: 1.45;
    font-variant-numeric: tabular-nums lining-nums;
  }
  body[data-kept]::before { ${keptBand} content: 'Kept on this device as of ' attr(data-kept) ': checking whether anything has changed…'; }
  body[data-kept] [data-saved-word] { visibility: hidden; }
  h1, h2, h3, p, ul, ol, dl, dd, figure { margin: 0; padding: 0; }
  ul, ol { list-style: none; }
  h1 { font-size: ${type.title}; line-height: 1.2; font-weight: 700; letter-spacing: -0.01em; }
  h2 { font-size: ${type.lead}; line-height: 1.3; font-weight: 650; }
  h3 { font-size: ${type.small}; line-height: 1.3; font-weight: 600; color: var(--ink-soft); }
  small { font-size: ${type.small}; }
  a { color: var(--chalk); }
  button, input { font: inherit; color: inherit; }
  :focus-visible { outline: 3px solid var(--chalk); outline-offset: 2px; }
  @media (prefers-reduced-motion: reduce) { * { transition: none !important; animation: none !important; } }
  @page { margin: 0.5in 0.5in 0.65in; }
  @page { @bottom-right { content: counter(page) ' of ' counter(pages); font: 8pt sans-serif; } }
  @media print {
    body { background: #fff; font-size: 10pt; print-color-adjust: exact; }
    header, nav, [data-unprinted] { display: none !important; }
    thead { display: table-header-group; }
    tr, figure, li, dl > div { break-inside: avoid; }
    h1, h2, h3, caption { break-after: avoid; }
  }
`

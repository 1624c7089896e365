import { renderToStaticMarkup } from 'react-dom/server'
import { ServerStyleSheet, StyleSheetManager } from 'styled-components'
import { colorsOf } from '~/core/agree/wallColors'
import { inPickedColors } from '~/core/agree/clientWord'
import { computePlan } from '~/core/computePlan'
import { photoMap } from '~/core/photo/photoMap'
import { photoScene } from '~/core/photo/photoScene'
import { PhotoPlan } from '~/drawing/view/PhotoPlan'
import { inForce } from '~/model'
import { ClientDocument, ClosedDocument } from './ClientDocument'
import type { ClientPageView, ClientView, ClientWallView } from './clientView'

interface Whole {
  readonly title: string
  readonly nonce: string
  /** Where the page's script is; null for a page without one. */
  readonly script: string | null
}

function wholeDocument(body: React.ReactNode, { title, nonce, script }: Whole): string {
  const sheet = new ServerStyleSheet({ nonce })
  try {
    const markup = renderToStaticMarkup(sheet.collectStyles(<StyleSheetManager>{body}</StyleSheetManager>))
    const head = renderToStaticMarkup(
      <>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <meta name="robots" content="noindex, nofollow" />
        <link rel="icon" href="/favicon.svg" type="image/svg+xml" />
        <title>{title}</title>
      </>,
    )
    const run = script === null ? '' : `<script type="module" nonce="${nonce}" src="${script}"></script>`
    return `<!doctype html><html lang="en-US"><head>${head}${sheet.getStyleTags()}</head><body>${markup}${run}</body></html>`
  } finally {
    sheet.seal()
  }
}

/** The client's page as one text. */
export function renderClientPage(view: ClientView, nonce: string, script: string): string {
  return wholeDocument(<ClientDocument view={view} />, { title: `${view.page.job} · Regla`, nonce, script })
}

/** A page that is closed, or never was. */
export function renderClosed(
  said: { readonly title: string; readonly text: string; readonly kept: string; readonly font: string },
  nonce: string,
): string {
  return wholeDocument(<ClosedDocument {...said} />, { title: said.title, nonce, script: null })
}

/** What is laid over the photograph of a wall, with one of its options in the colors picked; null where the photograph fits no wall. */
export function photoOverlay(page: ClientPageView, wall: ClientWallView, optionId: string): string | null {
  const option = wall.options.find(({ id }) => id === optionId)
  if (!option || !wall.photo) return null
  const { width, height, marks } = wall.photo
  const found = photoMap({ points: marks.points, lens: marks.lens, width, height })
  if (typeof found === 'string') return null
  const { settings } = page
  const pick = page.picks[wall.id] ?? { colors: {} }
  const design = inPickedColors(option.design, pick, settings)
  const plan = computePlan({ wall: { survey: wall.survey, design }, settings, beside: option.beside })
  return renderToStaticMarkup(
    <svg xmlns="http://www.w3.org/2000/svg" width={width} height={height} viewBox={`0 0 ${width} ${height}`}>
      <PhotoPlan
        nodes={photoScene(plan, wall.survey, found, marks.lightDeg)}
        colors={colorsOf(inForce(design), settings)}
        cutOuts={marks.cutOuts.map(({ corners }) =>
          corners.map(({ x, y }) => ({ x: x * width, y: y * height })),
        )}
        width={width}
        height={height}
        name="plan"
      />
    </svg>,
  )
}

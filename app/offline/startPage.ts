/** A page that is kept on this device: where it is, what it is called, whose job it is, and since when it is kept. */
export interface KeptPage {
  readonly path: string
  readonly title: string
  readonly job: string
  readonly at: string
}

const STAGES: Readonly<Record<string, string>> = {
  measure: 'Measure',
  layout: 'Lay out',
  mark: 'Mark',
  cut: 'Cut',
  buy: 'Buy',
  fit: 'Fit',
  finish: 'Finish',
  log: 'Log',
}
/** In the order of the work. */
const ORDER = Object.keys(STAGES)

function plain(html: string): string {
  const names: Readonly<Record<string, string>> = {
    amp: '&',
    lt: '<',
    gt: '>',
    quot: '"',
    '#x27': "'",
    '#39': "'",
  }
  return html.replace(/&(#?\w+);/g, (all, name: string) => names[name.toLowerCase()] ?? all)
}

function safe(text: string): string {
  return text.replace(/[&<>"']/g, (letter) => `&#${letter.charCodeAt(0)};`)
}

/** What a page is called and whose job it is, as its own text says. */
export function keptPage(path: string, html: string, at: string): KeptPage {
  const title = plain(/<title>([^<]*)<\/title>/.exec(html)?.[1] ?? path).replace(/ · Regla$/, '')
  const id = /^\/jobs\/([^/]+)/.exec(path)?.[1] ?? ''
  const link = new RegExp(`<a [^>]*href="/jobs/${id.replace(/[^\w-]/g, '')}"[^>]*>([^<]+)</a>`).exec(
    html,
  )?.[1]
  // a job's own page has its name for a title
  return { path, title, job: plain(link ?? (path === `/jobs/${id}` ? title : '')), at }
}

/** The kept pages of one job: its own, and its walls with their stages. */
interface KeptJob {
  readonly name: string
  readonly pages: readonly KeptPage[]
  readonly walls: readonly {
    readonly name: string
    readonly at: string
    readonly stages: readonly KeptPage[]
  }[]
}

function byJob(kept: readonly KeptPage[]): KeptJob[] {
  const jobs = new Map<string, KeptPage[]>()
  for (const page of kept) {
    const id = /^\/jobs\/([^/]+)/.exec(page.path)?.[1] ?? ''
    jobs.set(id, [...(jobs.get(id) ?? []), page])
  }
  return [...jobs.values()].map((pages) => {
    const walls = new Map<string, KeptPage[]>()
    for (const page of pages) {
      const wall = /^\/jobs\/[^/]+\/walls\/[^/]+/.exec(page.path)?.[0]
      if (wall !== undefined) walls.set(wall, [...(walls.get(wall) ?? []), page])
    }
    return {
      name: pages.find(({ job }) => job !== '')?.job ?? 'A job',
      pages: pages.filter(({ path }) => !path.includes('/walls/')),
      walls: [...walls.values()].map((stages) => ({
        name: nameOf(stages),
        at: stages[0]?.at ?? '',
        stages: stages.sort((a, b) => ORDER.indexOf(stageOf(a)) - ORDER.indexOf(stageOf(b))),
      })),
    }
  })
}

/** Mark · Street wall: what comes after the stage. Of a wall one page at least was read. */
function nameOf(stages: readonly KeptPage[]): string {
  const title = stages.find((page) => page.title.includes(' · '))?.title ?? ''
  return title.split(' · ').slice(1).join(' · ')
}

const stageOf = ({ path }: KeptPage) => path.slice(path.lastIndexOf('/') + 1)

const LOOK = `
:root{color-scheme:light}body{margin:0;background:#efebe0;color:#23282b;font:16px/1.45 system-ui,sans-serif}
main{max-width:720px;margin:0 auto;padding:20px 16px 48px;display:grid;gap:16px}
header{background:#fbf8f1;border-bottom:1px solid #d8d0bd;padding:12px 16px;font-weight:700;font-size:20px}
h1{font-size:24px;margin:8px 0 0}h2{font-size:19px;margin:12px 0 0}p{margin:0}
section{background:#fbf8f1;border:1px solid #d8d0bd;border-radius:8px;padding:4px 16px 16px;display:grid;gap:12px}
h3{font-size:16px;margin:8px 0 0}small{color:#565d60;font-size:14px;font-weight:400}
.row{display:flex;flex-wrap:wrap;gap:8px}
a{display:inline-flex;align-items:center;min-height:48px;padding:0 14px;border:1px solid #8a7f66;border-radius:6px;background:#fff;color:#23282b;font-weight:600;text-decoration:none}
a:focus-visible{outline:3px solid #1c57a5;outline-offset:2px}a.main{background:#23282b;color:#fff}`

const links = (pages: readonly KeptPage[], words: (page: KeptPage) => string) =>
  `<div class="row">${pages.map((page) => `<a href="${safe(page.path)}">${safe(words(page))}</a>`).join('')}</div>`

/** The page that stands in for one that is not kept while the server is away: what is kept, how old it is, what can be done with it. */
export function startPage(asked: string, kept: readonly KeptPage[]): string {
  const jobs = byJob(kept)
  const said =
    asked === '/'
      ? 'Regla’s server is away, or this device has no network.'
      : 'The page you asked for is not kept on this device, and Regla’s server is away.'
  const open =
    jobs.length === 0
      ? 'Nothing is kept on this device yet. A wall is kept once it was opened; “Take this job along” on a job’s page keeps all of it.'
      : 'What is kept on this device opens without it. What you do there is kept too, and sent when the server is back. Figures may have changed since.'
  const listed = jobs
    .map(
      ({ name, pages, walls }) =>
        `<section aria-label="${safe(name)}"><h2>${safe(name)}</h2>${
          pages.length > 0
            ? links(
                pages,
                ({ title, at, job }) => `${job === '' ? title : title.replace(` · ${job}`, '')} (${at})`,
              )
            : ''
        }${walls
          .map(
            (wall) =>
              `<div data-wall><h3>${safe(wall.name)} <small>as of ${safe(wall.at)}</small></h3>${links(
                wall.stages,
                (page) => STAGES[stageOf(page)] ?? page.title,
              )}</div>`,
          )
          .join('')}</section>`,
    )
    .join('')
  return `<!doctype html><html lang="en-US"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Kept on this device · Regla</title><link rel="icon" href="/favicon.svg"><style>${LOOK}</style></head><body><header>Regla</header><main><h1>Kept on this device</h1><p>${said}</p><p>${open}</p><p><a class="main" href="${safe(asked)}">Try again</a></p>${listed}</main></body></html>`
}

import { keptPage, startPage } from './startPage'

const html = (title: string, job: string) =>
  `<html><head><title>${title} · Regla</title></head><body><a class="x" href="/jobs/j1" data-discover="true">${job}</a></body></html>`

describe('the page that stands in while the server is away', () => {
  test('names what is kept as its own text does, job by job, wall by wall, in the order of the work', () => {
    const kept = [
      keptPage('/jobs/j1/walls/w1/cut', html('Cut · Street &amp; yard', 'Mill house'), '10:02 AM'),
      keptPage('/jobs/j1/walls/w1/mark', html('Mark · Street &amp; yard', 'Mill house'), '10:02 AM'),
      keptPage('/jobs/j1', html('Mill house', 'Mill house'), '9:40 AM'),
      keptPage('/jobs/j2/walls/w9/fit', '<title>Fit · North · Regla</title>', 'Nov 3, 8:00 AM'),
    ]
    expect(kept[0]).toEqual({
      path: '/jobs/j1/walls/w1/cut',
      title: 'Cut · Street & yard',
      job: 'Mill house',
      at: '10:02 AM',
    })
    const page = startPage('/', kept)
    expect(page).toContain('Regla’s server is away')
    expect(page).toContain('Street &#38; yard <small>as of 10:02 AM</small>')
    expect(page.indexOf('>Mark<')).toBeLessThan(page.indexOf('>Cut<'))
    expect(page.match(/data-wall/g)).toHaveLength(2)
    expect(page).toContain('Mill house (9:40 AM)')
    expect(page).toContain('North <small>as of Nov 3, 8:00 AM</small>')
  })

  test('says that what was asked for is not kept; a name can’t be markup; with nothing kept it says how to', () => {
    const odd = keptPage('/jobs/j1/walls/w1/cut', html('Cut · &lt;b&gt;x', 'J'), '1')
    expect(odd.title).toBe('Cut · <b>x')
    const page = startPage('/jobs/"x', [odd])
    expect(page).toContain('The page you asked for is not kept on this device')
    expect(page).not.toMatch(/<b>x|"x"/)
    expect(startPage('/', [])).toContain('Nothing is kept on this device yet')
  })
})

import { LIMITS } from '~/model'
import { refusalOf } from './guard.server'
import { networkOf } from './network.server'

const options = {
  hosts: ['localhost', '127.0.0.1', '[::1]', 'regla.example'],
  origins: ['https://regla.example'],
}
const form = { 'content-type': 'application/x-www-form-urlencoded', 'content-length': '10' }
const json = { 'content-type': 'application/json; charset=utf-8', 'content-length': '10' }
const asked = (
  method: string,
  path: string,
  headers: Readonly<Record<string, string>> = {},
  host = '127.0.0.1:4173',
) => refusalOf({ method, path, url: path, headers: { host, ...headers } }, options)?.status ?? null

describe('the gate before everything', () => {
  test('answers to its own names alone', () => {
    expect(asked('GET', '/')).toBeNull()
    expect(asked('GET', '/', {}, '[::1]:4173')).toBeNull()
    expect(asked('GET', '/', {}, 'REGLA.example')).toBeNull()
    for (const host of [
      'evil.example',
      '127.0.0.1.evil.example',
      '',
      'a b',
      '127.0.0.1:4173:1',
      '127.0.0.1@evil',
    ])
      expect(asked('GET', '/', {}, host)).toBe(421)
  })

  // before, a post to /x/../sign-in got past the limit of tries
  test('one path for gate, limit and router: what another could be read in is refused, what no address holds is not there', () => {
    for (const path of [
      '/x/../sign-in',
      '/./sign-in',
      '/%2e%2e/sign-in',
      '/x/%2E%2e/sign-in',
      '/x/.%2e/sign-in',
      '//sign-in',
      '/x//y',
      '/x%2f%2fy',
      '/a\\..\\b',
      '/a%5cb',
      'http://127.0.0.1/x',
      '/jobs/..',
      '/.',
      '/a/%2e',
    ])
      // prettier-ignore
      expect([path, asked('GET', path), asked('POST', path, form)]).toEqual([path, 400, 400])
    for (const path of ['/jobs/demo/walls/%00', '/jobs/%0a', '/%c0%ae', '/%zz', '/%', '/a%7f', '/\u0001'])
      expect([path, asked('GET', path)]).toEqual([path, 404])
    for (const path of [
      '/',
      '/jobs/new.data',
      '/jobs/a/walls/b/photos',
      '/_.data',
      '/?q=//a/../b%00',
      '/a%20b',
      '/caf%C3%A9',
      '/...',
    ])
      expect([path, asked('GET', path)]).toEqual([path, null])
  })

  test('reads and posts, nothing else', () => {
    expect(asked('HEAD', '/')).toBeNull()
    for (const method of ['TRACE', 'PUT', 'DELETE', 'OPTIONS', 'CONNECT', 'PATCH'])
      expect(asked(method, '/')).toBe(405)
  })

  test('pages of other sites change nothing', () => {
    expect(
      asked('POST', '/', { ...form, origin: 'http://127.0.0.1:4173', 'sec-fetch-site': 'same-origin' }),
    ).toBeNull()
    expect(asked('POST', '/', { ...form, origin: 'https://regla.example' })).toBeNull()
    // who is no browser sends neither
    expect(asked('POST', '/devices/laser/readings', json)).toBeNull()
    expect(asked('POST', '/', { ...form, origin: 'http://evil.example' })).toBe(403)
    expect(asked('POST', '/', { ...form, origin: 'null' })).toBe(403)
    expect(asked('POST', '/', { ...form, 'sec-fetch-site': 'cross-site' })).toBe(403)
    expect(asked('POST', '/', { ...form, 'sec-fetch-site': 'same-site' })).toBe(403)
  })

  test('JSON where JSON is meant, forms elsewhere', () => {
    expect(asked('POST', '/devices/laser/readings', { ...json, 'content-type': 'text/plain' })).toBe(415)
    expect(asked('POST', '/jobs/a/walls/b/document', form)).toBe(415)
    expect(asked('POST', '/jobs/a/walls/b/acts', json)).toBeNull()
    expect(asked('POST', '/jobs/new', { ...form, 'content-type': 'text/plain' })).toBe(415)
    expect(asked('POST', '/jobs/new', { 'content-length': '3' })).toBe(415)
    expect(
      asked('POST', '/jobs/new.data', { ...form, 'content-type': 'multipart/form-data; boundary=x' }),
    ).toBeNull()
  })

  test('bodies say their size, and are refused by it before they are read', () => {
    expect(asked('POST', '/jobs/new', { 'content-type': form['content-type'] })).toBe(411)
    expect(asked('POST', '/jobs/new', { ...form, 'content-length': '-1' })).toBe(411)
    expect(asked('POST', '/jobs/new', { ...form, 'content-length': String(LIMITS.requestBytes + 1) })).toBe(
      413,
    )
    // a job file comes in at the list of jobs
    expect(
      asked('POST', '/_root.data', { ...form, 'content-length': String(LIMITS.requestBytes + 1) }),
    ).toBeNull()
    expect(asked('POST', '/', { ...form, 'content-length': String(LIMITS.fileBytes + 1) })).toBe(413)
  })
})

describe('how the server listens', () => {
  const lan = ['192.168.7.20']

  test('by itself on this machine only, and nobody signs in', () => {
    expect(networkOf({}, lan)).toMatchObject({
      host: '127.0.0.1',
      port: 4173,
      local: true,
      tls: 'none',
      url: 'http://127.0.0.1:4173',
      secure: false,
    })
  })

  test('on the network by choice, over TLS', () => {
    const network = networkOf({ REGLA_HOST: '0.0.0.0', REGLA_NAMES: ' shop.lan ,', PORT: '4200' }, lan)
    expect(network).toMatchObject({ local: false, tls: 'made', secure: true, url: 'https://shop.lan:4200' })
    expect(network.hosts).toEqual(['localhost', '127.0.0.1', '[::1]', '192.168.7.20', 'shop.lan'])
    expect(networkOf({ REGLA_HOST: '0.0.0.0', REGLA_CERT: 'c', REGLA_KEY: 'k' }, lan).tls).toBe('own')
    expect(() => networkOf({ REGLA_HOST: '0.0.0.0', REGLA_CERT: 'c' }, lan)).toThrow(/go together/)
  })

  test('behind a proxy that does TLS people still sign in', () => {
    expect(networkOf({ REGLA_PUBLIC: 'https://regla.example' }, lan)).toMatchObject({
      host: '127.0.0.1',
      local: false,
      tls: 'none',
      secure: true,
      origins: ['https://regla.example'],
      proxied: true,
    })
  })
})

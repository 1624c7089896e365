import { X509Certificate } from 'node:crypto'
import { mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { certificateFor } from './certificate.server'

test('a certificate for the names asked, under an authority that stays; made anew when an address comes', async () => {
  const folder = join(mkdtempSync(join(tmpdir(), 'regla-')), 'tls')
  const first = await certificateFor(folder, ['localhost', '127.0.0.1'])
  const leaf = new X509Certificate(first.cert)
  expect([leaf.checkHost('localhost'), leaf.checkIP('127.0.0.1'), leaf.checkIP('192.168.7.20')]).toEqual([
    'localhost',
    '127.0.0.1',
    undefined,
  ])
  expect(leaf.verify(new X509Certificate(first.authority).publicKey)).toBe(true)
  expect(statSync(join(folder, 'server.key')).mode & 0o077).toBe(0)
  // the same again as long as it serves
  expect((await certificateFor(folder, ['localhost'])).cert).toBe(first.cert)
  const moved = await certificateFor(folder, ['localhost', '192.168.7.20'])
  expect(moved.authority).toBe(first.authority)
  expect(new X509Certificate(moved.cert).checkIP('192.168.7.20')).toBe('192.168.7.20')
  // a server certificate that was cut short is made anew
  writeFileSync(join(folder, 'server.crt'), '')
  await certificateFor(folder, ['localhost'])
  expect(readFileSync(join(folder, 'server.crt'), 'utf8')).toContain('BEGIN CERTIFICATE')
})

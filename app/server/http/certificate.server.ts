import { X509Certificate } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { isIP } from 'node:net'
import { join } from 'node:path'
import { generate } from 'selfsigned'

const DAY = 86_400_000
/** How long before its end a certificate is made anew. */
const MARGIN_DAYS = 30
/** Browsers take no certificate of a server that is good for longer. */
const LEAF_DAYS = 397
const AUTHORITY_DAYS = 3650

/** What a TLS listener needs, and the authority that phones are to trust. */
export interface Certificate {
  readonly key: string
  readonly cert: string
  readonly authority: string
}

const USUAL = { keyType: 'ec', curve: 'P-256', algorithm: 'sha256' } as const

function isGood(file: string, names: readonly string[]): boolean {
  if (!existsSync(file)) return false
  const held = new X509Certificate(readFileSync(file))
  return (
    Date.parse(held.validTo) - Date.now() > MARGIN_DAYS * DAY &&
    names.every((name) => (isIP(name) ? held.checkIP(name) : held.checkHost(name)) !== undefined)
  )
}

/**
 * A certificate for these names and addresses, kept in a folder only its owner may read: an authority of this machine's own,
 * good for ten years, which phones take once, and under it a certificate that is made anew when an address changes or its
 * time is nearly over.
 */
export async function certificateFor(folder: string, names: readonly string[]): Promise<Certificate> {
  const at = (name: string) => join(folder, name)
  const read = (name: string) => readFileSync(at(name), 'utf8')
  const write = (name: string, text: string) => writeFileSync(at(name), text, { mode: 0o600 })
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  if (!existsSync(at('authority.key')) || !isGood(at('authority.crt'), [])) {
    const made = await generate([{ name: 'commonName', value: 'Regla on this machine' }], {
      ...USUAL,
      notAfterDate: new Date(Date.now() + AUTHORITY_DAYS * DAY),
      extensions: [
        { name: 'basicConstraints', cA: true, critical: true },
        { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
      ],
    })
    write('authority.key', made.private)
    write('authority.crt', made.cert)
    write('server.crt', '')
  }
  if (!existsSync(at('server.key')) || read('server.crt') === '' || !isGood(at('server.crt'), names)) {
    const made = await generate([{ name: 'commonName', value: 'regla' }], {
      ...USUAL,
      notBeforeDate: new Date(Date.now() - DAY),
      notAfterDate: new Date(Date.now() + LEAF_DAYS * DAY),
      ca: { key: read('authority.key'), cert: read('authority.crt') },
      extensions: [
        { name: 'basicConstraints', cA: false },
        { name: 'keyUsage', digitalSignature: true, critical: true },
        { name: 'extKeyUsage', serverAuth: true },
        {
          name: 'subjectAltName',
          altNames: names.map((name) =>
            isIP(name) ? { type: 7 as const, ip: name } : { type: 2 as const, value: name },
          ),
        },
      ],
    })
    write('server.key', made.private)
    write('server.crt', made.cert)
  }
  // they end without a line feed
  return {
    key: read('server.key'),
    cert: [read('server.crt'), read('authority.crt')].join('\n'),
    authority: read('authority.crt'),
  }
}

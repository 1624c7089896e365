import { networkInterfaces } from 'node:os'

/** Where and how the server listens, and what it answers to. */
export interface Network {
  readonly host: string
  readonly port: number
  /** Only this machine can reach it: nobody signs in. */
  readonly local: boolean
  readonly tls: 'none' | 'own' | 'made'
  /** Names and addresses it answers to, without ports. */
  readonly hosts: readonly string[]
  /** Origins of its pages besides those: what a proxy in front is called. */
  readonly origins: readonly string[]
  /** Cookies go over TLS alone. */
  readonly secure: boolean
  /** Where people open it. */
  readonly url: string
  /** A proxy stands in front and says who asked. */
  readonly proxied: boolean
}

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]']

/** This machine's addresses on the network, IPv4. */
export function lanAddresses(): string[] {
  return Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address)
}

type Env = Readonly<Record<string, string | undefined>>

/**
 * How to listen, by the environment: REGLA_HOST takes it onto the network, REGLA_NAMES adds names it answers to, REGLA_CERT and
 * REGLA_KEY bring a certificate, REGLA_PUBLIC is where a proxy that does TLS shows it. Throws with what to do where they
 * don't go together.
 */
export function networkOf(env: Env, addresses: readonly string[]): Network {
  const port = Number(env.PORT ?? 4173)
  const host = env.REGLA_HOST ?? '127.0.0.1'
  const local = LOOPBACK.includes(host) && env.REGLA_PUBLIC === undefined
  const given = (env.REGLA_NAMES ?? '').split(',').flatMap((name) => {
    const trimmed = name.trim().toLowerCase()
    return trimmed === '' ? [] : [trimmed]
  })
  if ((env.REGLA_CERT === undefined) !== (env.REGLA_KEY === undefined))
    throw new Error('REGLA_CERT and REGLA_KEY go together: the files of a certificate and of its key.')
  const shown = env.REGLA_PUBLIC === undefined ? null : new URL(env.REGLA_PUBLIC)
  const everywhere = ['0.0.0.0', '::'].includes(host)
  const own = everywhere ? addresses : LOOPBACK.includes(host) ? [] : [host.toLowerCase()]
  const hosts = [...new Set([...LOOPBACK, ...own, ...given, ...(shown ? [shown.hostname] : [])])]
  const tls = local || shown ? 'none' : env.REGLA_CERT === undefined ? 'made' : 'own'
  const secure = tls !== 'none' || shown?.protocol === 'https:'
  const first = given[0] ?? own[0] ?? '127.0.0.1'
  return {
    host,
    port,
    local,
    tls,
    hosts,
    origins: shown ? [shown.origin] : [],
    secure,
    url: shown ? shown.origin : `${tls === 'none' ? 'http' : 'https'}://${first}:${port}`,
    proxied: shown !== null,
  }
}

/** How this server listens. */
export const network = (): Network => networkOf(process.env, lanAddresses())

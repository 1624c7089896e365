import { createServer, request, type Server } from 'node:http'

/**
 * A link between a browser and a server: each request waits `delay` milliseconds before it goes on; what `drops` is lost on the way. What it goes
 * to may change, as when a server comes back at another port.
 */
export class SlowLink {
  delay = 0
  drops: RegExp | null = null
  readonly url: string
  readonly #server: Server

  constructor(
    readonly port: number,
    public to: number,
  ) {
    this.url = `http://127.0.0.1:${port}`
    this.#server = createServer((asked, answer) => {
      setTimeout(() => {
        const { method, url: path, headers } = asked
        if (this.drops?.test(`${method} ${path}`)) return void answer.destroy()
        const passed = request({ port: this.to, host: '127.0.0.1', method, path, headers }, (given) => {
          answer.writeHead(given.statusCode ?? 502, given.headers)
          given.pipe(answer)
        })
        passed.on('error', () => answer.destroy())
        asked.pipe(passed)
      }, this.delay)
    })
  }

  start(): Promise<void> {
    return new Promise((ready) => this.#server.listen(this.port, '127.0.0.1', ready))
  }

  async stop(): Promise<void> {
    this.#server.closeAllConnections()
    await new Promise((done) => this.#server.close(done))
  }
}

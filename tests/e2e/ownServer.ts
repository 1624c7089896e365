import { type ChildProcess, spawn } from 'node:child_process'
import { rmSync } from 'node:fs'

/** A server of a test's own, that is stopped and started as the test goes. */
export class OwnServer {
  #process: ChildProcess | null = null
  readonly url: string
  readonly #file: string

  constructor(
    readonly port: number,
    name: string,
  ) {
    this.url = `http://127.0.0.1:${port}`
    this.#file = `test-results/${name}-${process.pid}.db`
    for (const end of ['', '-wal', '-shm']) rmSync(`${this.#file}${end}`, { force: true })
  }

  async start(): Promise<void> {
    const env = { ...process.env, NODE_ENV: 'production', PORT: String(this.port), DB_FILE: this.#file }
    this.#process = spawn('node', ['server.js'], { env, stdio: 'ignore' })
    for (let i = 0; i < 200; i++) {
      const up = await fetch(`${this.url}/healthz`).then(
        ({ ok }) => ok,
        () => false,
      )
      if (up) return
      await new Promise((done) => setTimeout(done, 100))
    }
    throw new Error('the server did not come up')
  }

  /** Killed where it stands, as when the power goes. */
  async kill(): Promise<void> {
    const running = this.#process
    this.#process = null
    if (!running) return
    const gone = new Promise((done) => running.once('exit', done))
    running.kill('SIGKILL')
    await gone
  }
}

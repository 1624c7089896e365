import { fork } from 'node:child_process'
import { resolve } from 'node:path'

/** A process beside the server that answers questions, so that no page waits for what takes long. */
export interface OwnProcess<Question, Answer> {
  readonly ask: (question: Question) => void
  readonly onAnswer: (hear: (answer: Answer) => void) => void
  readonly onEnd: (hear: () => void) => void
  readonly end: () => void
}

/** Starts a script of ours as such a process; it keeps nobody from leaving. */
export function ownProcess<Question, Answer>(script: string): OwnProcess<Question, Answer> {
  const child = fork(resolve(script), {
    execArgv: ['--import', 'tsx'],
    // bytes go as bytes
    serialization: 'advanced',
  })
  child.unref()
  child.channel?.unref()
  return {
    ask: (question) => void child.send(question as object, () => undefined),
    onAnswer: (hear) => void child.on('message', (answer) => hear(answer as Answer)),
    onEnd: (hear) => void child.on('exit', hear).on('error', hear),
    end: () => void child.kill('SIGKILL'),
  }
}

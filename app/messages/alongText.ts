/** A job that is kept on a device for where there is no network. */
export const alongText = {
  take: 'Take this job along',
  going: 'Keeping it…',
  so: (done: number, all: number, bytes: number, isAll: boolean) => {
    const size = `${(bytes / 1_000_000).toFixed(1)} MB`
    return isAll
      ? `All of it is kept on this device, ${size}, and opens without the server.`
      : `${done} of ${all} walls and pages kept, ${size}`
  },
  cannot:
    'This browser keeps nothing here: it does so on the machine itself and over a safe connection (https) alone.',
  failed: (missing: number) =>
    missing === 0
      ? 'The server did not answer. What was kept before is still kept; try again.'
      : `${missing === 1 ? 'One page' : `${missing} pages`} could not be kept. Try again.`,
} as const

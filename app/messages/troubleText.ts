/** What pages say that can't show what was asked for. */
export const troubleText = {
  form: 'What was sent can’t be read as a form. Nothing was changed; go back and try once more.',
  missing: {
    tab: 'Not here',
    title: 'There is nothing at this address',
    text: 'The job or wall may have come from another machine, or the link lost a letter on its way.',
  },
  away: {
    tab: 'Out of reach',
    title: 'The server can’t be reached',
    text: 'What you changed is kept in this browser and is sent when you come back to it. Go back and try once more.',
  },
  shut: {
    tab: 'Shut',
    title: 'The database can’t be used now',
    text: 'Nothing was saved. Try once more.',
  },
  broken: {
    tab: 'To be mended',
    title: 'This can’t be shown as it is kept',
    text: 'Nothing of it is lost.',
  },
  fault: {
    tab: 'Something broke',
    title: 'Something broke on our side',
    text: 'Nothing you saved is lost. Go back and try once more.',
  },
} as const

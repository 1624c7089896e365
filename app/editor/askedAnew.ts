/** Whether a wall's page was asked for anew, as where another option was chosen; else the browser's copy is the one being worked on. */
let asked = false
export const isAskedAnew = () => asked

/** Asks for the wall's page anew. */
export async function askAnew(revalidate: () => Promise<void>): Promise<void> {
  asked = true
  try {
    await revalidate()
  } finally {
    asked = false
  }
}

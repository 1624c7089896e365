import { createContext, useContext } from 'react'

/** The content policy's nonce of this response; undefined in the browser. */
export const NonceContext = createContext<string | undefined>(undefined)
// read once, before the page is up: where an error page draws the document anew its meta would lose it
const ofThisPage =
  typeof document === 'undefined'
    ? undefined
    : document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce || undefined

export const useNonce = () => useContext(NonceContext) ?? ofThisPage

import { createContext, useContext } from 'react'

/** The content policy's nonce of this response; undefined in the browser. */
export const NonceContext = createContext<string | undefined>(undefined)
export const useNonce = () => useContext(NonceContext)

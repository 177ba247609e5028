/** The name of this open page: its own doing is no news to it. */
export const PAGE_ID = Array.from(crypto.getRandomValues(new Uint8Array(9)), (b) => b.toString(36)).join('')

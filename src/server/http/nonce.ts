/** Under this name a page learns the nonce of its answer. */
export const NONCE_HEADER = 'x-notula-nonce'

/** Whether felters sign in here, each to what is their own: said by the page itself. */
export const hasAccounts = (): boolean => document.querySelector('meta[name=accounts]') !== null

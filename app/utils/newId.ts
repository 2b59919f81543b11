/** Ids are made here, so that a change can refer to what it has just made. */
export const newId = (): string => crypto.randomUUID()

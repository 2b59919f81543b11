import pino from 'pino'

/** The one log: a line of JSON an event, to standard error. */
export const log = pino({ level: process.env.LOG_LEVEL ?? 'info' }, pino.destination(2))

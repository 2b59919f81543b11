import sqlite3 from 'sqlite3'

/** How long a statement waits for another connection's lock, ms. */
const patienceMs = 10_000

/** Each connection waits for a lock instead of failing at once. */
class PatientDatabase extends sqlite3.Database {
  constructor(...given: ConstructorParameters<typeof sqlite3.Database>) {
    super(...given)
    this.configure('busyTimeout', patienceMs)
  }
}

export const patientSqlite = { ...sqlite3, Database: PatientDatabase }

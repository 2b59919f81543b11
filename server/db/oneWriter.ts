import type { Sequelize } from 'sequelize'

/** A connection, marked with the transaction it belongs to. */
interface Connection {
  uuid?: string
}
type Manager = Sequelize['connectionManager'] & {
  readonly connections: Record<string, Connection>
}
type Asked = Parameters<Manager['getConnection']>[0]

/** Where the connection rests between two transactions: what is closed with the others. */
const resting = 'writer'

/**
 * Keeps one connection for transactions, which come one after the other. Without it each of them opens the file anew and
 * reads what tables there are, which takes longer than most changes. A second transaction at the same time has a
 * connection of its own.
 */
export function keepWriter({ connectionManager }: Sequelize): void {
  const manager = connectionManager as Manager
  const open = manager.getConnection.bind(manager)
  const close = manager.releaseConnection.bind(manager)
  manager.getConnection = (options: Asked) => {
    // The transaction; without one it is the connection of all readers.
    const id = (options as Connection | undefined)?.uuid
    const kept = manager.connections[resting]
    if (id === undefined || !kept) return open(options)
    Reflect.deleteProperty(manager.connections, resting)
    manager.connections[id] = kept
    return Promise.resolve(kept)
  }
  manager.releaseConnection = (connection: Connection) => {
    const { uuid: id } = connection
    if (id === undefined || manager.connections[resting]) return close(connection)
    Reflect.deleteProperty(manager.connections, id)
    manager.connections[resting] = connection
  }
}

import { DataTypes } from 'sequelize'
import type { ModelAttributes, ModelStatic, Sequelize, Model } from 'sequelize'
import { entities, entityNames } from '#core/model/entities'
import type { EntityName } from '#core/model/entities'
import type { Field, FieldKind, Fields } from '#core/model/field'

const columnType: Readonly<Record<FieldKind, () => unknown>> = {
  text: () => DataTypes.TEXT,
  choice: () => DataTypes.TEXT,
  choices: () => DataTypes.JSON,
  integer: () => DataTypes.INTEGER,
  real: () => DataTypes.DOUBLE,
  flag: () => DataTypes.BOOLEAN,
  date: () => DataTypes.TEXT,
  instant: () => DataTypes.INTEGER,
  clockTime: () => DataTypes.TEXT,
  ref: () => DataTypes.TEXT,
  refs: () => DataTypes.JSON,
  record: () => DataTypes.JSON,
}

// Made afresh for each column: Sequelize writes the column's name into the object it is given.
const text = () => ({ type: DataTypes.TEXT, allowNull: false })
const whole = () => ({ type: DataTypes.INTEGER, allowNull: false })
const rowColumns = (): ModelAttributes => ({
  refitId: { ...text(), primaryKey: true },
  id: { ...text(), primaryKey: true },
  version: whole(),
  /** The change that touched the row last. */
  seq: whole(),
  /** Deletes are soft: when, UTC ms. */
  deletedAt: { type: DataTypes.INTEGER, allowNull: true },
})

type AnyModel = ModelStatic<Model<Record<string, unknown>>>
export interface Models {
  readonly rows: Readonly<Record<EntityName, AnyModel>>
  readonly change: AnyModel
  readonly journal: AnyModel
  readonly life: AnyModel
}

/** One model a kind of row, made from its description, and the two of the journal. */
export function defineModels(sequelize: Sequelize): Models {
  const define = (name: string, columns: ModelAttributes) =>
    sequelize.define(name, columns, { tableName: name, timestamps: false }) as AnyModel
  const rows = Object.fromEntries(
    entityNames.map((entity) => {
      const columns = Object.fromEntries(
        (Object.entries(entities[entity] as Fields) as [string, Field<unknown>][]).map(
          ([name, field]) => [
            name,
            { type: columnType[field.kind]() as typeof DataTypes.TEXT, allowNull: field.nullable },
          ],
        ),
      )
      return [entity, define(entity, { ...rowColumns(), ...columns })]
    }),
  ) as Record<EntityName, AnyModel>
  const key = { primaryKey: true }
  return {
    rows,
    /** Which life of a refit this is: another when it is brought in anew or put back from a copy. */
    life: define('life', { refitId: { ...text(), ...key }, epoch: text() }),
    change: define('change', {
      refitId: { ...text(), ...key },
      seq: { ...whole(), ...key },
      changeId: text(),
      deviceId: text(),
      personId: { type: DataTypes.TEXT },
      label: text(),
      quiet: { type: DataTypes.BOOLEAN, allowNull: false },
      at: whole(),
      /** The change this one takes back. */
      undoes: { type: DataTypes.INTEGER },
      undone: { type: DataTypes.BOOLEAN, allowNull: false },
    }),
    journal: define('journal', {
      refitId: { ...text(), ...key },
      seq: { ...whole(), ...key },
      place: { ...whole(), ...key },
      entity: text(),
      rowId: text(),
      op: text(),
      version: whole(),
      before: { type: DataTypes.JSON },
      after: { type: DataTypes.JSON },
    }),
  }
}

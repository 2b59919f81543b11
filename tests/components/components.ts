/** The components that the framework finds by their names, for tests without it. */
import type { Component } from 'vue'

const found = import.meta.glob<{ default: Component }>('../../app/components/**/*.vue', {
  eager: true,
})

/** By name: that of the file. */
export const components = Object.fromEntries(
  Object.entries(found).map(([path, module]) => [
    (path.split('/').at(-1) ?? '').replace('.vue', ''),
    module.default,
  ]),
)
export const {
  BoatSettings,
  CoverSettings,
  DayLevers,
  DeviceSettings,
  FileSettings,
  HaulOutSettings,
  LicenceSettings,
  LyingSettings,
  PeopleSettings,
  PlaceSettings,
  ProductSettings,
  UiCheck,
  UiChoice,
  UiChoices,
  UiDate,
  UiHours,
  UiLength,
  UiMoney,
  UiNumber,
  UiQuantity,
  UiSelect,
  UiText,
  UiTime,
  UiYesNo,
  ZoneSettings,
} = components

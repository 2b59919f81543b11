import { needRange } from '../guard'

/** Paint left in the tray, roller and pot. Source: handbook 9, brush and roller. */
const brushLoss = 0.15

/**
 * Spreading rate, m²/L: volume solids % × 10 ÷ dry film µm. Solids over 0 to 100 %, film 1–5000 µm.
 * Throws RangeError outside. Source: handbook 9. Example: 50 % at 100 µm → 5 m²/L.
 */
export function spreadingRateM2PerL(solidsPercent: number, dryFilmUm: number): number {
  needRange('spreadingRateM2PerL', 'volume solids in %', solidsPercent, 0.1, 100)
  needRange('spreadingRateM2PerL', 'dry film in µm', dryFilmUm, 1, 5000)
  return (solidsPercent * 10) / dryFilmUm
}

/**
 * Paint, litres: area × coats ÷ rate ÷ (1 − loss). Area 0–2000 m², coats 0–40, loss 0–0.9.
 * Throws RangeError outside. Source: handbook 9. Example: 24 m², 2 coats at 5 m²/L, loss 0.15 → 11.3 L.
 */
export function coatLitres(
  areaM2: number,
  coats: number,
  rateM2PerL: number,
  loss = brushLoss,
): number {
  needRange('coatLitres', 'area in m²', areaM2, 0, 2000)
  needRange('coatLitres', 'coats', coats, 0, 40)
  needRange('coatLitres', 'rate in m²/L', rateM2PerL, 0.01, 1000)
  needRange('coatLitres', 'loss', loss, 0, 0.9)
  return (areaM2 * coats) / rateM2PerL / (1 - loss)
}

/** Coats that build a dry film of `totalUm` (0–5000 µm) at `coatUm` each (1–2000 µm). Throws RangeError outside. */
export function coatsForFilm(totalUm: number, coatUm: number): number {
  needRange('coatsForFilm', 'film in µm', totalUm, 0, 5000)
  needRange('coatsForFilm', 'film a coat in µm', coatUm, 1, 2000)
  return Math.max(0, Math.ceil(totalUm / coatUm - 1e-9))
}

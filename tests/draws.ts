/** How many cases a property that lays whole plans draws: enough to be quick here, many times that by `npm run bench -- draws 10`. */
export const draws = (usual: number): number => usual * Number(process.env.DRAWS ?? 1)

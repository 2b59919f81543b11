/** Minutes of a lift, assumed where the crane driver says nothing else. */
export const slingsOnMin = 15
export const swingMin = 20
/** From the slings to where she hangs over the water. */
export const beforeWaterMin = slingsOnMin + swingMin

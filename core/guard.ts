/** The one refusal of a number out of range: RangeError that names the caller, the input and what it accepts. */
export function needRange(
  caller: string,
  name: string,
  value: number,
  min: number,
  max: number,
): void {
  if (!(value >= min && value <= max))
    throw new RangeError(`${caller}: ${name} must be ${min} to ${max}, not ${value}`)
}

/** Where a pointer is, in the units of a drawing; null: the drawing is not laid out. */
export function svgPoint(svg: SVGSVGElement | null, event: MouseEvent): DOMPoint | null {
  const matrix = svg?.getScreenCTM()
  return matrix
    ? new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
    : null
}

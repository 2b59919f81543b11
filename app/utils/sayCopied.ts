const said = new Intl.DateTimeFormat('en-IE', {
  ...{ weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' },
  ...{ hour: '2-digit', minute: '2-digit' },
})

/** When a copy was taken, by the machine's own time: it belongs to the data folder, not to a refit and its yard. */
export const sayCopied = (at: number): string => said.format(at)

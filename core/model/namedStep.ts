/** The job's title beside its step's; '' where that says it already. */
export const titleBeside = (
  step: { readonly title: string },
  job: { readonly title: string } | null | undefined,
): string => (job && job.title !== step.title ? job.title : '')

/** “Step” (Job), as sentences name it; a step that is the whole of its job is named once. */
export const namedStep = (
  step: { readonly title: string },
  job: { readonly title: string },
): string => (step.title === job.title ? `“${step.title}”` : `“${step.title}” (${job.title})`)

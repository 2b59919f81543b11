export { bench } from './plan.bench'
export { again, byFamily, overTime } from './kernel.bench'
export { bigFile, jobsBench } from './jobs.bench'

/** Rules of core/ alone: it leans on few packages, and nothing comes into it by a side door. */

/** Pure and well known. */
const packages = [
  '@date-fns/tz',
  '@neaps/tide-predictor',
  'date-fns',
  'fractional-indexing',
  'jsep',
  'minisearch',
  'suncalc',
  'tinyqueue',
]

const fewPackages = {
  create(context) {
    const look = (node) => {
      const from = node.source?.value
      if (typeof from !== 'string' || /^\.{1,2}\//.test(from) || packages.includes(from)) return
      context.report({ node, message: 'core/ imports core and its few listed pure packages only.' })
    }
    return {
      ImportDeclaration: look,
      ImportExpression: look,
      ExportNamedDeclaration: look,
      ExportAllDeclaration: look,
    }
  },
}

const isCallOf = ({ callee }, object, property) =>
  callee.type === 'MemberExpression' &&
  callee.object.name === object &&
  callee.property.name === property

const hiddenInputs = {
  create: (context) => ({
    CallExpression(node) {
      if (isCallOf(node, 'Date', 'now'))
        context.report({ node, message: 'The time comes in as an argument.' })
      if (isCallOf(node, 'Math', 'random'))
        context.report({ node, message: 'Dice come in as an argument.' })
    },
    NewExpression(node) {
      if (node.callee.name === 'Date' && node.arguments.length === 0)
        context.report({ node, message: 'The time comes in as an argument.' })
    },
  }),
}

export default {
  meta: { name: 'core' },
  rules: { 'few-packages': fewPackages, 'hidden-inputs': hiddenInputs },
}

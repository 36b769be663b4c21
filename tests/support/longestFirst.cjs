const { default: Sequencer } = require('@jest/test-sequencer')

/** What takes longest begins first, also where nobody has run it before: the core’s tests. */
module.exports = class extends Sequencer {
  sort(tests) {
    const isCore = ({ path }) => path.includes('/together/')
    const sorted = super.sort(tests)
    return [...sorted.filter(isCore), ...sorted.filter((test) => !isCore(test))]
  }
}

/** How quickly a small read is answered while something else runs. */

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms))

/** @returns a question that is answered with yes for so long */
export function forSeconds(seconds) {
  const end = Date.now() + seconds * 1000
  return () => Date.now() < end
}

/** Reads one card again and again, one after the other. @returns milliseconds */
export async function reads(address, until, card = 'tree') {
  const times = []
  while (until()) {
    const started = performance.now()
    await (await fetch(`${address}/api/cards/${card}`)).arrayBuffer()
    times.push(performance.now() - started)
    await pause(4)
  }
  times.sort((a, b) => a - b)
  return { p99: times[Math.floor(times.length * 0.99)] ?? 0, count: times.length }
}

/** Asks what taking a file in would do, or takes it in. @returns the status of the answer */
export async function sent(address, [file, body], taken = false) {
  const form = new FormData()
  form.append('file', new File([body], file))
  const query = taken ? '' : '?preview=1'
  const answer = await fetch(`${address}/api/import${query}`, { method: 'POST', body: form })
  await answer.text()
  return answer.status
}

import next from 'next'
import { doorsOf } from './guard'
import { guarded } from './serve'

/** The app behind its guard. HOST, PORT and ORIGIN say where, and by which names. */

const host = process.env.HOST || '127.0.0.1'
const port = Number(process.env.PORT)

/** Who may talk to it; an ORIGIN that says nothing is told before anything starts. */
function doors() {
  try {
    return doorsOf(host, process.env.ORIGIN)
  } catch (error) {
    console.error((error as Error).message)
    process.exit(1)
  }
}
const known = doors()

const app = next({ dev: false, dir: process.cwd(), hostname: host, port })
await app.prepare()
const handle = app.getRequestHandler()
const server = guarded((request, response) => handle(request, response), known)
server.listen(port, host)

function stop() {
  server.close(() => process.exit(0))
  server.closeIdleConnections()
  setTimeout(() => process.exit(0), 1500).unref()
}
process.on('SIGTERM', stop)
process.on('SIGINT', stop)
// Who started it is gone.
process.on('disconnect', stop)

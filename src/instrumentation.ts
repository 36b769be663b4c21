/** How often what is kept for a while is looked over, in milliseconds. */
const EVERY_MS = 6 * 3600 * 1000

/** Called once when the server starts: rooms are forgotten on their day, whether anybody looks or not. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return
  const { forgetRooms } = await import('./server/rooms')
  const forget = () => void forgetRooms().catch(() => undefined)
  forget()
  setInterval(forget, EVERY_MS).unref()
}

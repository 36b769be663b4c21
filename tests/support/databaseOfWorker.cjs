/** Points a test file to the database of the worker that runs it. */
const urls = JSON.parse(process.env.NOTULA_TEST_DATABASES)
process.env.DATABASE_URL = urls[(Number(process.env.JEST_WORKER_ID ?? 1) - 1) % urls.length]

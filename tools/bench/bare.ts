import express from 'express'
import { createPool } from 'mysql2/promise'

/** The baseline for saving: a bare Express route that writes the same rows in one transaction, and judges nothing. */
const pool = createPool({ uri: process.env['DATABASE_URL'] ?? '', connectionLimit: 10 })
const app = express()
app.use(express.json())
app.post('/save', async (request, response) => {
  const { entry, reading, state, checks } = request.body as Record<'entry' | 'reading' | 'state', unknown[]> & {
    checks: unknown[][]
  }
  const bytes = (row: unknown[], ...places: number[]) =>
    row.map((value, i) => (places.includes(i) ? Buffer.from(String(value).replaceAll('-', ''), 'hex') : value))
  const connection = await pool.getConnection()
  await connection.beginTransaction()
  await connection.query('INSERT INTO entries (id, run, n, at, made_by, kind, body, received_at) VALUES (?)', [
    bytes(entry, 0, 1, 4),
  ])
  await connection.query(
    'INSERT INTO readings (entry, run, check_id, kind, text, value, low, high, instrument) VALUES (?)',
    [bytes(reading, 0, 1)],
  )
  await connection.query(
    'REPLACE INTO run_states (run, card, started_at, entry_count, finding, closed, came_back, cured, core, summary, standing) VALUES (?)',
    [bytes(state, 0, 1)],
  )
  await connection.query(
    'REPLACE INTO check_states (run, check_id, verdict, reason, judged, judged_u, open) VALUES ?',
    [checks.map((row) => bytes(row, 0))],
  )
  await connection.commit()
  connection.release()
  response.json({ kept: true })
})
app.listen(Number(process.env['PORT']), '127.0.0.1')

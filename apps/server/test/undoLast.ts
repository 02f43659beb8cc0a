/** What takes the last change of the tables back (0010), as the program before left them: for tests of what an upgrade does. */
export const undoLast = [
  'DROP TABLE card_tallies',
  'ALTER TABLE run_states DROP INDEX run_states_by_card, DROP COLUMN card, DROP COLUMN started_at, DROP COLUMN cured',
  'DROP INDEX units_by_time ON units',
  'ALTER TABLE check_states ADD card binary(16) NOT NULL',
  'CREATE INDEX check_states_by_card ON check_states (card, check_id)',
  'DELETE FROM migration_steps WHERE migration = (SELECT MAX(created_at) FROM __drizzle_migrations)',
  'DELETE FROM __drizzle_migrations ORDER BY created_at DESC LIMIT 1',
]

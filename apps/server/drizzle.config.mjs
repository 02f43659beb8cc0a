export default { dialect: 'mysql', schema: './apps/server/src/database/schema.ts', out: './apps/server/drizzle' }

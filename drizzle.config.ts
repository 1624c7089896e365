import { defineConfig } from 'drizzle-kit'

export default defineConfig({
  dialect: 'sqlite',
  schema: [
    './app/server/db/schema.server.ts',
    './app/server/db/agreeSchema.server.ts',
    './app/server/db/workSchema.server.ts',
  ],
  out: './app/server/db/migrations',
})

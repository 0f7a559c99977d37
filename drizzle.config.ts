import { defineConfig } from "drizzle-kit";

export default defineConfig({
  dialect: "mysql",
  schema: "./data/schema.ts",
  out: "./data/migrations",
  casing: "snake_case",
});

import { type RouteConfig, index, layout, route } from "@react-router/dev/routes";

export default [
  route("who", "people/who.tsx"),
  layout("frame.tsx", [
    index("range/range.tsx"),
    route("bench", "bench/formulas.tsx"),
    route("bench/:formulaId", "bench/bench.tsx"),
    route("book", "book/book.tsx"),
    route("book/:versionId", "book/card.tsx"),
    route("larder", "larder/larder.tsx"),
    route("larder/import", "larder/import.tsx"),
    route("larder/:ingredientId", "larder/ingredient.tsx"),
    route("kit", "kit/kit.tsx"),
    route("kit/:vesselId", "kit/vessel.tsx"),
  ]),
  route("stove/:runId", "stove/stove.tsx"),
  route("larder.csv", "larder/export.ts", { id: "larder-csv" }),
  route("larder.json", "larder/export.ts", { id: "larder-json" }),
  route("sums/world", "sums/world.ts"),
  route("api/sums", "api/sums.ts"),
  route("api/sums/:name", "api/sum.ts"),
  route("api/runs/:runId/events", "api/run-events.ts"),
] satisfies RouteConfig;

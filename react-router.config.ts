import type { Config } from "@react-router/dev/config";

export default {
  ssr: true,
  // A kitchen's few pages are told at once; looking for links at every change of the page costs more than it saves.
  routeDiscovery: { mode: "initial" },
  future: { v8_middleware: true, v8_viteEnvironmentApi: true },
} satisfies Config;

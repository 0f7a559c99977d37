import { say } from "./say.mjs";

export function run() {
  say.line(`Hondaro, the sauce section’s workbench

  ./hondaro start [--port N] [--no-demo] [--data FOLDER]
                      sets up what is missing and serves the kitchen on http://127.0.0.1:4180
      --host 0.0.0.0  for other machines too, with --cert FILE --key FILE over https
  ./hondaro certificate [--name NAME] [--data FOLDER]
                      makes an authority for this kitchen and a certificate of this machine
  ./hondaro password NAME [--data FOLDER]
                      a new password for somebody who has lost theirs
  ./hondaro backup FILE [--data FOLDER]
                      the whole kitchen with pictures in one packed file, read back and checked
  ./hondaro restore FILE [--data FOLDER]
                      such a file into an empty folder, compared with what came in
  ./hondaro stop [--data FOLDER]
                      stops everything that start started
  ./hondaro test [unit|e2e|all]
                      checks everything on a throw-away database
  ./hondaro calc NAME < input.json
                      one quick sum; calc --list names them with their fields
  ./hondaro read FILE|- [--json] [--altitude M]
                      what a recipe in words is understood as; --all: a JSON list of texts
  ./hondaro walk FILE|- [--text] [--json] [--altitude M]
                      a formula, or a recipe in words, walked step by step
  ./hondaro bridge --key NAME --secret SECRET [--kind scale] [--formula ID] [--speed N] [--url URL]
                      a simulated instrument that sends what it shows, as docs/devices.md says
  ./hondaro bench [speed|routes|range|tracker|schedule|faults]
                      how fast the sums and pages are; 40 pots and 10 tablets; how good
                      “ready at” is; what 10 000 hostile inputs and 50 kills do to it
  ./hondaro help      this page

DATABASE_URL, when set, is used instead of the private database under .data/. Behind a
proxy, TRUST_PROXY says how many stand before Hondaro (or their addresses), and HONDARO_NAMES which names it goes by.`);
}

import { useState } from "react";
import { allocateBase } from "~/core/laws/puree";
import { g, printMass } from "~/core/ground/quantity";
import { readMass, readWithin } from "../../ui/read";
import { TypedField } from "../../ui/typed-field";

/** One base for several sauces: who gets how much, and what is left. */
export function SharedOut() {
  const [baseG, setBase] = useState(1150);
  const [draws, setDraws] = useState([
    { id: "first", wantG: 640 },
    { id: "second", wantG: 360 },
    { id: "third", wantG: 0 },
  ]);
  const shared = allocateBase(
    baseG,
    draws.filter(d => d.wantG > 0).map(d => ({ ...d, minG: 0, priority: 1 })),
  );
  return (
    <div>
      <h3 className="font-semibold">Shared out</h3>
      <div className="mt-1 flex flex-wrap gap-2">
        <TypedField
          label="base"
          shown={printMass(g(baseG))}
          read={readMass("The base")}
          onRead={setBase}
          width="w-20"
        />
        {draws.map(draw => (
          <TypedField
            key={draw.id}
            label={draw.id}
            shown={printMass(g(draw.wantG))}
            read={readWithin("The draw", "g", 0, 1_000_000)}
            onRead={wantG => setDraws(draws.map(d => (d.id === draw.id ? { ...d, wantG } : d)))}
            width="w-20"
          />
        ))}
      </div>
      {shared.ok && (
        <p className="mt-1">
          <strong>{printMass(g(shared.value.leftG))}</strong> left: use within two days or freeze.
        </p>
      )}
    </div>
  );
}

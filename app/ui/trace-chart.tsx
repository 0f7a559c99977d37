import {
  CategoryScale,
  Chart as ChartJs,
  Filler,
  LineController,
  LineElement,
  LinearScale,
  PointElement,
  Tooltip,
} from "chart.js";
import { memo } from "react";
import { Line } from "react-chartjs-2";
import type { TracedPoint } from "~/core/formula";
import { printNumber } from "~/core/ground/quantity";
import { elapsedClock } from "../text/format";

ChartJs.register(CategoryScale, LineController, LineElement, LinearScale, PointElement, Filler, Tooltip);

export interface TraceChartProps {
  planned: readonly TracedPoint[];
  /** 90 % band at step ends. */
  band: readonly { readonly atS: number; readonly lo: number; readonly hi: number | null }[];
  measured?: readonly TracedPoint[];
  unit: string;
  label: string;
  divide: number;
  decimals: number;
  height: number;
  night?: boolean;
  /** Start the scale at nothing; otherwise it shows the span alone. */
  fromZero?: boolean;
  summary: string;
}

const HOUR = 3600;

/** The axis ends on a whole hour, or on a tenth for what is shorter than one. */
function lastHour(...points: (readonly TracedPoint[])[]): number {
  const hours = Math.max(...points.map(list => list.at(-1)?.atS ?? 0)) / HOUR;
  return hours > 1 ? Math.ceil(hours) : Math.max(0.1, Math.ceil(hours * 10) / 10);
}

/** One quantity along the line: planned as a line in its band, measured as points. The numbers stand below in words. */
export const TraceChart = memo(function TraceChart({
  planned,
  band,
  measured = [],
  unit,
  label,
  divide,
  decimals,
  height,
  night = false,
  fromZero = true,
  summary,
}: TraceChartProps) {
  const ink = night ? "#b9aebd" : "#6a6472";
  const grid = night ? "#3a3342" : "#e6dece";
  const line = night ? "#f8efdf" : "#4a2a12";
  const point = (p: TracedPoint) => ({ x: p.atS / HOUR, y: p.value / divide });
  const upper = band.filter(b => b.hi !== null);
  return (
    <figure>
      <div aria-hidden="true" style={{ height }}>
        <Line
          data={{
            datasets: [
              {
                label: "low",
                data: upper.map(b => ({ x: b.atS / HOUR, y: b.lo / divide })),
                borderWidth: 0,
                pointRadius: 0,
                fill: false,
              },
              {
                label: "high",
                data: upper.map(b => ({ x: b.atS / HOUR, y: (b.hi ?? 0) / divide })),
                borderWidth: 0,
                pointRadius: 0,
                fill: "-1",
                backgroundColor: night ? "rgb(229 138 85 / 0.22)" : "rgb(184 128 62 / 0.24)",
              },
              {
                label: "planned",
                data: planned.map(point),
                borderColor: line,
                borderWidth: 2,
                pointRadius: 0,
                tension: 0,
              },
              {
                label: "measured",
                data: measured.map(point),
                borderWidth: 0,
                showLine: false,
                pointRadius: 4.5,
                pointBackgroundColor: night ? "#e58a55" : "#a9502a",
                pointBorderColor: night ? "#1b1720" : "#fff",
                pointBorderWidth: 1.5,
              },
            ],
          }}
          options={{
            animation: false,
            maintainAspectRatio: false,
            responsive: true,
            parsing: false,
            normalized: true,
            events: [],
            plugins: { tooltip: { enabled: false }, legend: { display: false } },
            scales: {
              x: {
                type: "linear",
                min: 0,
                max: lastHour(planned, measured),
                grid: { display: false },
                border: { color: grid },
                ticks: {
                  color: ink,
                  font: { family: "Atkinson Hyperlegible Next Variable", size: 12 },
                  maxRotation: 0,
                  callback: value => `${printNumber(Number(value), Number(value) % 1 ? 1 : 0)} h`,
                },
              },
              y: {
                beginAtZero: fromZero,
                grid: { color: grid },
                border: { display: false },
                ticks: {
                  color: ink,
                  font: { family: "Atkinson Hyperlegible Next Variable", size: 12 },
                  maxTicksLimit: 4,
                  callback: value => `${printNumber(Number(value), Number(value) % 1 ? 1 : 0)} ${unit}`,
                },
              },
            },
          }}
        />
      </div>
      <figcaption className="sr-only">
        {label}: {summary}
      </figcaption>
      <details className="no-print mt-1 text-xs">
        <summary className={night ? "text-lamp-faded" : "text-faded"}>The same in numbers</summary>
        <table className="mt-1">
          <thead>
            <tr className="text-left">
              <th className="pr-6 font-normal">clock</th>
              <th className="pr-6 font-normal">planned, {unit}</th>
              <th className="font-normal">90 % band, {unit}</th>
            </tr>
          </thead>
          <tbody>
            {band.map(b => (
              <tr key={b.atS}>
                <td className="pr-6">{elapsedClock(b.atS)}</td>
                <td className="pr-6">{printNumber(valueAt(planned, b.atS) / divide, decimals)}</td>
                <td>
                  {printNumber(b.lo / divide, decimals)} –{" "}
                  {b.hi === null ? "no upper bound yet" : printNumber(b.hi / divide, decimals)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </figure>
  );
});

const valueAt = (points: readonly TracedPoint[], atS: number): number =>
  points.findLast(p => p.atS <= atS + 1e-6)?.value ?? points[0]?.value ?? 0;

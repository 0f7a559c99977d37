import {
  CategoryScale,
  Chart as ChartJs,
  LineController,
  LineElement,
  LinearScale,
  PointElement,
  Tooltip,
} from "chart.js";
import { Line } from "react-chartjs-2";
import { useNavigate } from "react-router";
import { CHARTED, type ChartedId, RULES, type Series } from "~/core/control";
import { printNumber } from "~/core/ground/quantity";
import { dayOf } from "../text/format";

ChartJs.register(CategoryScale, LineController, LineElement, LinearScale, PointElement, Tooltip);

const INK = "#231f2b";
const COPPER = "#a9502a";
const BEET = "#8e1d3c";
const FADED = "#6a6472";

/** The batches in order, in the limits of their version; the same stands below as a table. */
export function ControlChartFigure({
  series,
  figure,
  timeZone,
}: {
  series: Series;
  figure: ChartedId;
  timeZone: string;
}) {
  const navigate = useNavigate();
  const { points, phases, band } = series;
  const { unit, decimals, label } = CHARTED[figure];
  // A gap between the phases: lines of two versions never meet.
  const limit = (of: (phase: Series["phases"][number]) => number | null | undefined) =>
    points.map(
      (_, i) =>
        of(phases.find(p => i >= p.from && i <= p.to) ?? { version: 0, from: 0, to: 0, chart: null }) ?? null,
    );
  const provisional = phases.at(-1)?.chart?.stage === "provisional";
  const lines = (
    name: string,
    of: (phase: Series["phases"][number]) => number | null | undefined,
    dash: number[],
  ) => ({
    label: name,
    data: limit(of),
    borderColor: FADED,
    borderWidth: 1.5,
    borderDash: dash,
    pointRadius: 0,
    pointHitRadius: 0,
    segment: {
      borderColor: (c: { p0DataIndex: number; p1DataIndex: number }) =>
        phases.some(p => p.to === c.p0DataIndex) ? "transparent" : FADED,
    },
  });
  const wanted = (name: string, value: number | null | undefined) =>
    value == null
      ? []
      : [
          {
            label: name,
            data: points.map(() => value),
            borderColor: "#4f6b3b",
            borderWidth: 1,
            borderDash: [2, 4],
            pointRadius: 0,
            pointHitRadius: 0,
          },
        ];
  return (
    <div className="relative h-80" aria-hidden="true">
      <Line
        data={{
          labels: points.map(point => dayOf(point.at, timeZone)),
          datasets: [
            {
              label,
              data: points.map(({ value }) => value),
              borderColor: INK,
              borderWidth: 1.5,
              pointRadius: points.map(p => (p.alarms.length || p.cause !== null ? 6 : 3.5)),
              pointStyle: points.map(p =>
                p.cause !== null ? "rectRot" : p.alarms.length ? "triangle" : "circle",
              ),
              pointBackgroundColor: points.map(p =>
                p.cause !== null ? "#ffffff" : p.alarms.length ? BEET : COPPER,
              ),
              pointBorderColor: points.map(p => (p.cause !== null ? INK : p.alarms.length ? BEET : COPPER)),
              segment: {
                borderColor: c => (phases.some(p => p.to === c.p0DataIndex) ? "transparent" : INK),
              },
            },
            lines("middle", p => p.chart?.mean, []),
            lines("upper limit", p => p.chart?.upper, provisional ? [6, 4] : [10, 3]),
            lines("lower limit", p => p.chart?.lower, provisional ? [6, 4] : [10, 3]),
            ...wanted("wanted at most", band?.high),
            ...wanted("wanted at least", band?.low),
          ],
        }}
        options={{
          maintainAspectRatio: false,
          animation: false,
          onClick: (_, hit) => {
            const point = points[hit[0]?.index ?? -1];
            if (point) void navigate(`/batch/${point.runId}`);
          },
          scales: {
            x: { grid: { display: false }, ticks: { color: FADED, maxTicksLimit: 10, maxRotation: 0 } },
            y: {
              grid: { color: "#ede5d6" },
              title: { display: true, text: `${label}${unit ? `, ${unit}` : ""}`, color: FADED },
              ticks: { color: FADED, callback: v => printNumber(Number(v), decimals) },
            },
          },
          plugins: {
            tooltip: {
              filter: item => item.datasetIndex === 0,
              callbacks: {
                label: item => {
                  const point = points[item.dataIndex];
                  return point
                    ? [
                        `version ${point.version}: ${printNumber(point.value, decimals)} ${unit}`,
                        ...point.alarms.map(rule => RULES[rule]),
                        ...(point.cause === null ? [] : [`because: ${point.cause}`]),
                      ]
                    : "";
                },
              },
            },
          },
        }}
      />
    </div>
  );
}

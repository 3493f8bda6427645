import { Bar, BarChart, CartesianGrid, Line, LineChart, Rectangle, ResponsiveContainer, XAxis, YAxis } from "recharts";

export interface Piece {
  key: string;
  name: string;
  tone: string;
}

export interface Column {
  /** What is behind it goes by this. */
  at: string;
  name: string;
  [piece: string]: string | number;
}

const AXIS = { fontSize: 12, fill: "var(--soft)" };
const ROOM = { top: 6, right: 4, bottom: 0, left: 0 };
const WIDE = 62;
const HIGH = 210;

/** What the pieces of a bar mean. */
export function Legend({ pieces }: { pieces: Piece[] }) {
  return (
    <ul className="flex flex-wrap gap-x-4 gap-y-1 text-small text-soft mt-1">
      {pieces.map((piece) => (
        <li key={piece.key} className="flex items-center gap-1.5">
          <svg width="12" height="12" aria-hidden="true">
            <rect width="12" height="12" rx="3" style={{ fill: piece.tone }} />
          </svg>
          {piece.name}
        </li>
      ))}
    </ul>
  );
}

/** Bars of pieces, one for each week. The table beside it says the same, so nothing here is read aloud. */
export function Bars({
  columns,
  pieces,
  words,
  onPick,
}: {
  columns: Column[];
  pieces: Piece[];
  words: (value: number) => string;
  onPick: (at: string) => void;
}) {
  return (
    <div aria-hidden="true" className="cursor-pointer">
      <ResponsiveContainer width="100%" height={HIGH}>
        <BarChart
          data={columns}
          margin={ROOM}
          accessibilityLayer={false}
          onClick={({ activeTooltipIndex }) => {
            const column = columns[Number(activeTooltipIndex)];
            if (column) onPick(column.at);
          }}
        >
          <CartesianGrid vertical={false} stroke="var(--zinc2)" />
          <XAxis dataKey="name" tick={AXIS} stroke="var(--edge)" interval="preserveStartEnd" />
          <YAxis tick={AXIS} stroke="var(--edge)" width={WIDE} tickFormatter={words} />
          {pieces.map((piece) => (
            <Bar
              key={piece.key}
              dataKey={piece.key}
              stackId="all"
              fill={piece.tone}
              isAnimationActive={false}
              maxBarSize={46}
              shape={(given: object) => <Rectangle {...given} stroke="var(--enamel)" strokeWidth={1} />}
            />
          ))}
        </BarChart>
      </ResponsiveContainer>
    </div>
  );
}

/** One sum over the weeks. */
export function Curve({ columns, words }: { columns: Column[]; words: (value: number) => string }) {
  return (
    <div aria-hidden="true">
      <ResponsiveContainer width="100%" height={HIGH}>
        <LineChart data={columns} margin={ROOM} accessibilityLayer={false}>
          <CartesianGrid vertical={false} stroke="var(--zinc2)" />
          <XAxis dataKey="name" tick={AXIS} stroke="var(--edge)" interval="preserveStartEnd" />
          <YAxis tick={AXIS} stroke="var(--edge)" width={WIDE} tickFormatter={words} />
          <Line
            dataKey="value"
            stroke="var(--rim)"
            strokeWidth={3}
            dot={{ r: 4, fill: "var(--rim)" }}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}

import { CartesianGrid, Line, LineChart, ReferenceDot, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { RecallCurve } from '../api/client';
import { day } from '../kit/format';

const at = (on: string): number => Date.parse(`${on}T12:00:00Z`) / 86_400_000;
const dayAt = (value: number): string => day(new Date(value * 86_400_000).toISOString().slice(0, 10));

/** The recall of one movement day by day; filled dots are what was seen, hollow ones contact that nobody saw. */
export function RecallLine({ curve }: { curve: RecallCurve }) {
  const points = curve.points.map((one) => ({ at: at(one.on), percent: 100 * one.recall }));
  const onLine = new Map(curve.points.map((one) => [one.on, 100 * one.recall]));
  return (
    <div className="h-52 w-full" aria-hidden="true" data-testid="curve">
      <ResponsiveContainer>
        <LineChart accessibilityLayer={false} data={points} margin={{ top: 8, right: 12, bottom: 0, left: -10 }}>
          <CartesianGrid stroke="var(--line)" vertical={false} />
          <XAxis
            dataKey="at"
            type="number"
            domain={['dataMin', 'dataMax']}
            tickFormatter={dayAt}
            stroke="var(--soft)"
            fontSize={12}
            minTickGap={28}
          />
          <YAxis domain={[0, 100]} unit=" %" stroke="var(--soft)" fontSize={12} />
          <ReferenceLine y={80} stroke="var(--moss)" strokeDasharray="4 4" />
          <Line dataKey="percent" stroke="var(--pine)" strokeWidth={2} dot={false} isAnimationActive={false} />
          {curve.contacts.map((one) => (
            <ReferenceDot
              key={one.on}
              x={at(one.on)}
              y={onLine.get(one.on) ?? 100}
              r={5}
              fill={one.kind === 'mark' ? 'var(--pine)' : 'var(--paper)'}
              stroke="var(--pine)"
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}

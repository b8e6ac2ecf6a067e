import { useTranslation } from '../messages';
import { CartesianGrid, Legend, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { LinePoint } from '../api/client';
import { day, number } from '../kit/format';

/** Movements that hold and movements expected, by class; a class at which something was marked has a dot. */
export function LineOverTime({ points }: { points: LinePoint[] }) {
  const { t } = useTranslation();
  return (
    <div className="h-64 w-full" aria-hidden="true" data-testid="line">
      <ResponsiveContainer>
        <LineChart accessibilityLayer={false} data={points} margin={{ top: 8, right: 12, bottom: 0, left: -18 }}>
          <CartesianGrid stroke="var(--line)" vertical={false} />
          <XAxis dataKey="on" tickFormatter={(on: string) => day(on)} stroke="var(--soft)" fontSize={12} minTickGap={28} />
          <YAxis allowDecimals={false} stroke="var(--soft)" fontSize={12} />
          <Tooltip
            labelFormatter={(on) => day(String(on))}
            formatter={(value) => number(Number(value), 1)}
            contentStyle={{ background: 'var(--sheet)', border: '1px solid var(--line)', borderRadius: 3, color: 'var(--ink)' }}
          />
          <Legend />
          <Line
            dataKey="holding"
            name={t('students.holding')}
            stroke="var(--pine)"
            strokeWidth={2.5}
            isAnimationActive={false}
            dot={({ cx, cy, payload, key }) =>
              (payload as LinePoint).marks > 0 ? <circle key={key} cx={cx} cy={cy} r={4} fill="var(--pine)" /> : <g key={key} />
            }
          />
          <Line
            dataKey="expected"
            name={t('students.expected')}
            stroke="var(--river)"
            strokeWidth={2}
            strokeDasharray="6 4"
            dot={false}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}

import { useTranslation } from '../messages';
import { CartesianGrid, ReferenceLine, ResponsiveContainer, Scatter, ScatterChart, XAxis, YAxis, ZAxis } from 'recharts';
import type { Reliability } from '../api/client';

/** What was said against what was seen, a dot a tenth, as large as it has looks; on the line every forecast is true. */
export function ReliabilityDiagram({ of }: { of: Reliability }) {
  const { t } = useTranslation();
  const points = of.tenths.map((one) => ({ said: 100 * one.predicted, could: 100 * one.observed, looks: one.tests }));
  return (
    <div className="h-80 w-full max-w-xl" aria-hidden="true" data-testid="reliability">
      <ResponsiveContainer>
        <ScatterChart accessibilityLayer={false} margin={{ top: 8, right: 16, bottom: 22, left: 0 }}>
          <CartesianGrid stroke="var(--line)" />
          <XAxis
            dataKey="said"
            type="number"
            domain={[0, 100]}
            unit=" %"
            stroke="var(--soft)"
            fontSize={12}
            label={{ value: t('school.forecast.said'), position: 'insideBottom', offset: -14, fill: 'var(--soft)', fontSize: 13 }}
          />
          <YAxis
            dataKey="could"
            type="number"
            domain={[0, 100]}
            unit=" %"
            stroke="var(--soft)"
            fontSize={12}
            label={{
              value: t('school.forecast.could'),
              angle: -90,
              position: 'insideLeft',
              offset: 12,
              fill: 'var(--soft)',
              fontSize: 13,
            }}
          />
          <ZAxis dataKey="looks" range={[50, 420]} />
          <ReferenceLine
            segment={[
              { x: 0, y: 0 },
              { x: 100, y: 100 },
            ]}
            stroke="var(--moss)"
            strokeDasharray="5 4"
          />
          <Scatter
            data={points}
            fill="var(--pine)"
            line={{ stroke: 'var(--pine)', strokeWidth: 1.5 }}
            isAnimationActive={false}
          />
        </ScatterChart>
      </ResponsiveContainer>
    </div>
  );
}

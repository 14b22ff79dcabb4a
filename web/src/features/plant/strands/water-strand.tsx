import { Area, Bar, ComposedChart, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { dayDomain, NO_MARGIN, Scale, Strand } from './strand';
import type { StrandDay } from './strand-days';

/** Bars take the lower part of the strand. */
const BARS_UNDER = 2.2;

/** The water left in the root zone through rain and watering, and what a check moved it by. */
export function WaterStrand({ days }: { days: readonly StrandDay[] }) {
  const mostRain = Math.max(10, ...days.map((d) => d.rainMm));
  const mostWater = Math.max(4, ...days.map((d) => d.wateredL));
  const level = { yAxisId: 'left', isAnimationActive: false, type: 'linear', strokeWidth: 2.5 } as const;
  return (
    <Strand
      label="Water left"
      aside={<Scale values={[100, 50]} low={0} high={100} show={(p) => `${p} %`} />}
      tall="h-32"
    >
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart data={[...days]} margin={NO_MARGIN} accessibilityLayer={false} barGap={-5}>
          <XAxis type="number" dataKey="i" domain={dayDomain(days.length)} hide allowDataOverflow />
          <YAxis yAxisId="left" domain={[0, 100]} hide />
          <YAxis yAxisId="rain" domain={[0, mostRain * BARS_UNDER]} hide />
          <YAxis yAxisId="water" domain={[0, mostWater * BARS_UNDER]} hide />
          <ReferenceLine yAxisId="left" y={50} stroke="var(--color-soft)" strokeDasharray="2 4" />
          <Area {...level} dataKey="left" stroke="var(--color-moist)" fill="var(--color-moist)" fillOpacity={0.35} />
          <Line {...level} dataKey="leftAhead" stroke="var(--color-moist)" strokeDasharray="5 4" dot={false} />
          {days.map(
            (d) =>
              d.moved && (
                <ReferenceLine
                  key={d.day}
                  yAxisId="left"
                  segment={[
                    { x: d.i, y: d.moved.from },
                    { x: d.i, y: d.moved.to },
                  ]}
                  stroke="var(--color-leaf)"
                  strokeWidth={4}
                  ifOverflow="visible"
                />
              ),
          )}
          <Bar
            yAxisId="rain"
            dataKey="rainMm"
            fill="var(--color-rain)"
            fillOpacity={0.45}
            barSize={9}
            isAnimationActive={false}
          />
          <Bar yAxisId="water" dataKey="wateredL" fill="var(--color-rain)" barSize={5} isAnimationActive={false} />
        </ComposedChart>
      </ResponsiveContainer>
    </Strand>
  );
}

'use client';

import { Box } from '@chakra-ui/react';
import { BarChart } from 'echarts/charts';
import { AriaComponent, GridComponent, LegendComponent, TooltipComponent } from 'echarts/components';
import { init, use as withParts, type ECharts } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useTheme } from 'next-themes';
import { useEffect, useRef } from 'react';
import type { ChartFigure } from './figure';

withParts([BarChart, GridComponent, LegendComponent, TooltipComponent, AriaComponent, SVGRenderer]);

/** Tones that tell from each other in both themes, also for eyes that see few colours; decals tell them apart without any. */
const TONES = ['#1f7d62', '#d9a400', '#7a5ea8', '#b9472b', '#4a90b8', '#8a968f', '#a06a00', '#3c7d2c'];

/** The screens’ own face: with it the widths of words are measured rightly. */
const FONT = "'Atkinson Hyperlegible Next Variable', sans-serif";

/** A figure as bars. It is read out, and its table stands below. */
export default function Chart({ figure }: { figure: ChartFigure }) {
  const place = useRef<HTMLDivElement>(null);
  const { resolvedTheme } = useTheme();
  const isDark = resolvedTheme === 'dark';
  useEffect(() => {
    const element = place.current!;
    const chart: ECharts = init(element, undefined, { renderer: 'svg' });
    const ink = isDark ? '#e6ece8' : '#14241f';
    const line = isDark ? '#4a5a53' : '#c4cec8';
    const text = { color: ink, fontFamily: FONT, fontSize: 13 };
    const isLong = figure.rows.some(({ category }) => category.length > 14);
    chart.setOption({
      animation: false,
      color: TONES,
      aria: { enabled: true, decal: { show: figure.columns.length > 2 }, label: { description: `${figure.title}: ${figure.about}. The table below has all values.` } }, // prettier-ignore
      textStyle: text,
      grid: { left: 8, right: 16, top: figure.columns.length > 2 ? 40 : 12, bottom: 8, containLabel: true },
      legend: figure.columns.length > 2 ? { top: 0, left: 0, itemGap: 18, textStyle: text } : undefined,
      tooltip: { trigger: 'axis', axisPointer: { type: 'shadow' }, valueFormatter: (value: unknown) => `${String(value)} ${figure.unit}` }, // prettier-ignore
      [isLong ? 'yAxis' : 'xAxis']: {
        type: 'category',
        data: figure.rows.map(({ category }) => category),
        inverse: isLong,
        axisLabel: text,
        axisLine: { lineStyle: { color: line } },
      },
      [isLong ? 'xAxis' : 'yAxis']: {
        type: 'value',
        axisLabel: { ...text, formatter: isLong ? `{value} ${figure.unit}` : '{value}' },
        splitLine: { lineStyle: { color: line } },
      },
      series: figure.columns.slice(1).map((name, i) => ({
        name,
        type: 'bar',
        stack: figure.isStacked ? 'all' : undefined,
        barMaxWidth: 44,
        data: figure.rows.map(({ values }) => values[i]),
      })),
    });
    const watch = new ResizeObserver(() => chart.resize());
    watch.observe(element);
    return () => {
      watch.disconnect();
      chart.dispose();
    };
  }, [figure, isDark]);
  return <Box ref={place} h="280px" w="100%" role="img" aria-label={`${figure.title}: ${figure.about}`} />;
}

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

/** Sizes of the legend in px: of a sign, between entries, of a letter on average, and of a row. */
const LEGEND = { sign: 32, gap: 18, letter: 7.4, row: 24 };

/** How high the legend is when its entries break into rows of the chart's width. */
/** Letters of a unit that has room behind each value of an axis; a longer one stands above the chart alone. */
const MOST_UNIT = 3;

function legendHeight(names: readonly string[], width: number): number {
  let [rows, used] = [1, 0];
  for (const name of names) {
    const wide = LEGEND.sign + name.length * LEGEND.letter + LEGEND.gap;
    if (used > 0 && used + wide > width) [rows, used] = [rows + 1, 0];
    used += wide;
  }
  return rows * LEGEND.row + 16;
}

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
    const labels = figure.rows.map(({ category, label }) => label ?? category);
    const isLong = labels.some((label) => label.length > 14);
    const hasLegend = figure.columns.length > 2;
    chart.setOption({
      animation: false,
      color: TONES,
      aria: {
        enabled: true,
        decal: { show: figure.columns.length > 2 },
        label: { description: `${figure.title}: ${figure.about}. The table below has all values.` },
      },
      textStyle: text,
      grid: {
        left: 8,
        right: 16,
        top: hasLegend ? legendHeight(figure.columns.slice(1), element.clientWidth) : 12,
        bottom: 8,
        containLabel: true,
      },
      legend: hasLegend ? { top: 0, left: 0, itemGap: LEGEND.gap, textStyle: text } : undefined,
      tooltip: {
        trigger: 'axis',
        axisPointer: { type: 'shadow' },
        valueFormatter: (value: unknown) => `${String(value)} ${figure.unit}`,
      },
      [isLong ? 'yAxis' : 'xAxis']: {
        type: 'category',
        data: labels,
        inverse: isLong,
        // Every category is named; what does not fit beside the next is turned.
        axisLabel: { ...text, interval: 0, rotate: !isLong && labels.length * 58 > element.clientWidth ? 45 : 0 },
        axisLine: { lineStyle: { color: line } },
      },
      [isLong ? 'xAxis' : 'yAxis']: {
        type: 'value',
        axisLabel: {
          ...text,
          formatter: isLong && figure.unit.length <= MOST_UNIT ? `{value} ${figure.unit}` : '{value}',
        },
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
    const watch = new ResizeObserver(() => {
      chart.resize();
      if (hasLegend) chart.setOption({ grid: { top: legendHeight(figure.columns.slice(1), element.clientWidth) } });
    });
    watch.observe(element);
    return () => {
      watch.disconnect();
      chart.dispose();
    };
  }, [figure, isDark]);
  return <Box ref={place} h="280px" w="100%" role="img" aria-label={`${figure.title}: ${figure.about}`} />;
}

'use client';

import { Text } from '@chakra-ui/react';
import dynamic from 'next/dynamic';
import { lazyPart } from '../parts/lazy-part';
import { Folded } from '../folded';
import { Panel } from '../page';
import type { ChartFigure } from './figure';

const Chart = dynamic(
  lazyPart(() => import('./chart').then((file) => file.default)),
  { ssr: false, loading: () => <div style={{ height: 280 }} /> },
);

/** A figure with its table and its CSV; it is drawn only when somebody opens it. */
export function FigurePanel({ figure, isOpen, csv }: { figure: ChartFigure; isOpen: boolean; csv: string }) {
  const { title, about, unit, columns, rows, empty } = figure;
  return (
    <Panel title={title} aside={<span className="muted small">{unit}</span>}>
      <Text color="fg.muted" mb="3">
        {about}
      </Text>
      {rows.length === 0 ? (
        <Text>{empty}</Text>
      ) : (
        <>
          <Folded title="The chart" isOpen={isOpen}>
            <Chart figure={figure} />
          </Folded>
          <Folded title="As a table">
            <div className="sheet">
              <table className="rows" aria-label={title}>
                <thead>
                  <tr>
                    {columns.map((name, i) => (
                      <th key={name} scope="col" className={i > 0 ? 'number' : undefined}>
                        {name}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {rows.map(({ category, label, values }) => (
                    <tr key={category}>
                      <td>{label ?? category}</td>
                      {values.map((value, i) => (
                        <td key={i} className="number">
                          {value.toLocaleString('en')}
                        </td>
                      ))}
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
            <p className="small muted take-list">
              <a href={csv} download className="entry">
                CSV
              </a>
            </p>
          </Folded>
        </>
      )}
    </Panel>
  );
}

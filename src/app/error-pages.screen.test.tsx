import { renderToStaticMarkup } from 'react-dom/server';
import { expect, test } from 'vitest';
import { press, seen, show } from '@/ui/testing/screen';
import ErrorPage from './error';
import GlobalError from './global-error';

test('a page that could not be made says so, and is tried again', async () => {
  let tries = 0;
  const { me } = show(<ErrorPage error={new Error('inner words')} reset={() => tries++} />);
  expect(seen()).toContain('Nothing that was saved is lost');
  expect(seen()).not.toContain('inner words');
  await press(me, 'Try again');
  expect(tries).toBe(1);
});

test('where not even the frame could be made, a whole document stands by itself, with a way on', () => {
  const html = renderToStaticMarkup(<GlobalError />);
  expect(html.startsWith('<html lang="en">')).toBe(true);
  expect(html).toContain('Open it again');
  // Neither the theme nor a stylesheet is there: every look is on its element.
  expect(html).not.toContain('class=');
});

import { draw, drawnRects, readDrawing } from '../../../e2e/support/draw';
import { figuresUnsaid } from '../../../e2e/support/drawing';
import { ToScale } from './ToScale';

it.each([
  ['355 mm', '473 mm', 'metric'],
  ['14 in', '18 5/8 in', 'inch'],
  ['2.2 m', '90 cm', 'metric'],
] as const)(
  'an original of %s by %s says in words what it draws',
  (width, height, units) => {
    const { drawn, said } = readDrawing(
      draw(<ToScale width={width} height={height} />, units),
    );
    // A4 and A2 are names of the sheets beside it.
    expect(figuresUnsaid(drawn, `${said} 4 2`)).toEqual([]);
  },
);

it('lies beside A4 and A2 to one scale', () => {
  const [original, a4, a2] = drawnRects(draw(<ToScale width="300" height="400" />));
  const scale = original!.width / 300;
  expect(original!.height / 400).toBeCloseTo(scale, 9);
  expect(a4!.width / 210).toBeCloseTo(scale, 9);
  expect(a2!.height / 594).toBeCloseTo(scale, 9);
});

it.each([
  ['', '400'],
  ['wide', '400'],
  ['0', '400'],
  ['300', '90 m'],
])('asks for both lengths while they are %p and %p', (width, height) => {
  const markup = draw(<ToScale width={width} height={height} />);
  expect(markup).not.toContain('<svg');
  expect(markup).toContain('Give its width and height');
});

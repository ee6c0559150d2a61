import { fireEvent, render, screen } from '@testing-library/react';
import { measure, why } from '@roughsill/core';
import { sectionWords, Section } from '../section';
import { NumberField, Select, StateMark, TextField, UnitsProvider } from '.';
import { AnswerRow } from './Why';

function field(over: Partial<Parameters<typeof NumberField>[0]> = {}) {
  const onCommit = jest.fn();
  render(
    <NumberField
      label="Length"
      unit="ft"
      value={2}
      step={0.5}
      onCommit={onCommit}
      check={(v) => (v > 0 ? undefined : 'length must be more than 0')}
      {...over}
    />,
  );
  const input = screen.getByLabelText('Length (ft)') as HTMLInputElement;
  const type = (text: string) => {
    fireEvent.change(input, { target: { value: text } });
    fireEvent.blur(input);
  };
  return { onCommit, input, type };
}

test('a number is written on leaving; a comma is a decimal point; steppers step', () => {
  const { onCommit, type } = field();
  type('2,5');
  fireEvent.click(screen.getByLabelText('Length: more'));
  expect(onCommit.mock.calls).toEqual([[2.5], [2.5]]);
});

test.each([
  ['-1', 'length must be more than 0'],
  ['tall', '“tall” is not a number.'],
  ['', 'A number is needed here.'],
])('%p is refused beside the field, and stays there to be put right', (text, says) => {
  const { onCommit, input, type } = field();
  type(text);
  expect(screen.getByRole('alert').textContent).toBe(says);
  expect([input.value, input.getAttribute('aria-invalid')]).toEqual([text, 'true']);
  expect(onCommit).not.toHaveBeenCalled();
});

test('an answer unfolds its reason in the job’s units, with its source', () => {
  const reason = why('minor.over', 'cfr40-745.83', { disturbed: [measure(1, 'm2'), measure(6, 'ft2')] });
  render(
    <UnitsProvider value="m">
      <AnswerRow label="Minor work" value="no" because={[reason]} />
    </UnitsProvider>,
  );
  expect(screen.queryByText(/of suspect coating/)).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'why: Minor work, no' }));
  expect(screen.getByText(/Up to 1 m² of suspect coating may be disturbed here, over the 0.56 m² \(6 ft²\) of minor work/)).toBeTruthy();
  expect(screen.getByText(/40 CFR 745.83.*Published/)).toBeTruthy();
});

test('a state is a word beside its mark, and a list is labelled', () => {
  render(
    <>
      <StateMark state="waiting" />
      <Select label="Unit" value="ppm" options={[{ value: 'ppm', label: 'ppm' }]} onChange={() => undefined} />
    </>,
  );
  expect(screen.getByText('waiting')).toBeTruthy();
  expect(screen.getByLabelText('Unit')).toBeTruthy();
});

test('the section says in words what it draws, bite line and all', () => {
  const props = {
    coats: [
      { id: 'a', binder: 'acrylic', colour: 'grey', state: 'notFound', counted: true },
      { id: 'b', binder: 'unknown', colour: '', state: 'assumed', counted: false },
    ],
    material: 'softwood',
    bite: { coats: 1, label: 'wet-sand', toBare: false },
  } as const;
  expect(sectionWords(props)).toBe(
    'From the top: acrylic, grey, lead not found; older coats, not counted, lead assumed; then softwood. wet-sand goes through 1 of 2.',
  );
  render(<Section {...props} />);
  expect(screen.getByRole('img', { name: /From the top/ })).toBeTruthy();
});

describe('what stands in a field and was not entered yet', () => {
  const field = (value: string, onCommit: (v: string) => void = () => undefined) => (
    <TextField label="Name" value={value} onCommit={onCommit} />
  );
  const input = () => screen.getByLabelText<HTMLInputElement>('Name');
  beforeEach(() => localStorage.clear());

  test('survives a closed page, says so, and is entered when the field is left', async () => {
    const first = render(field('Sash'));
    fireEvent.change(input(), { target: { value: 'Sash, river side' } });
    window.dispatchEvent(new Event('pagehide'));
    first.unmount();
    const entered: string[] = [];
    render(field('Sash', (v) => entered.push(v)));
    expect(input().value).toBe('Sash, river side');
    expect(screen.getByText(/Typed before, not entered yet/)).toBeTruthy();
    fireEvent.blur(input());
    expect([entered, Object.keys(localStorage).filter((k) => k.includes('draft'))]).toEqual([['Sash, river side'], []]);
  });
  test('is not shown over a value that was recorded since', () => {
    const first = render(field('Sash'));
    fireEvent.change(input(), { target: { value: 'Sash, river side' } });
    window.dispatchEvent(new Event('pagehide'));
    first.unmount();
    render(field('Casement'));
    expect(input().value).toBe('Casement');
  });
  test('stands while another phone writes to the same field', () => {
    const page = render(field('Sash'));
    fireEvent.change(input(), { target: { value: 'Mine' } });
    page.rerender(field('Theirs'));
    expect(input().value).toBe('Mine');
    fireEvent.blur(input());
    page.rerender(field('Theirs too'));
    expect(input().value).toBe('Theirs too');
  });
});

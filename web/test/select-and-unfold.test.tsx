import { cleanup, fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { emptyIsUnknown } from '../src/ui/form-faults';
import { FormSelect } from '../src/ui/select-field';
import { Select } from '../src/ui/select';
import { Unfold } from '../src/ui/unfold';
import { show } from './page';

const OPTIONS = [
  ['', 'not known'],
  ['clay', 'Clay'],
  ['loam', 'Loam'],
] as const;

/** What points at the page: a mouse, or a finger. */
function pointing(coarse: boolean): void {
  Object.assign(window, {
    matchMedia: (query: string) => ({
      matches: query === '(pointer: coarse)' && coarse,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
    }),
  });
}

function List({ start, onChange }: { start: string; onChange: (v: string) => void }) {
  const [value, setValue] = useState(start);
  const chosen = (v: string) => {
    setValue(v);
    onChange(v);
  };
  return <Select aria-label="Soil" value={value} onChange={chosen} options={OPTIONS} />;
}

/** Opens the list with the keyboard and takes what has these words. */
function take(words: string): void {
  fireEvent.keyDown(screen.getByRole('combobox'), { key: 'ArrowDown' });
  fireEvent.keyDown(screen.getByRole('option', { name: words }), { key: 'Enter' });
}

beforeAll(() => {
  Element.prototype.scrollIntoView ??= () => undefined;
});

describe('one of a list', () => {
  it('is the device’s own under a finger, a list in the theme under a mouse; both say and give the same', () => {
    for (const coarse of [true, false]) {
      pointing(coarse);
      const got: string[] = [];
      show(<List start="clay" onChange={(v) => got.push(v)} />);
      const field = screen.getByRole('combobox', { name: 'Soil' });
      expect(field.tagName).toBe(coarse ? 'SELECT' : 'BUTTON');
      if (coarse) fireEvent.change(field, { target: { value: 'loam' } });
      else take('Loam');
      expect(got).toEqual(['loam']);
      expect(coarse ? (field as HTMLSelectElement).value : field.textContent).toBe(coarse ? 'loam' : 'Loam');
      cleanup();
    }
  });

  it('knows none from not chosen: it can be taken back, and stands in a form as nothing', () => {
    pointing(false);
    let kept: unknown = 'nothing kept yet';
    function Form() {
      const { control, watch } = useForm<{ soil: string | null }>({ defaultValues: { soil: 'clay' } });
      kept = watch('soil');
      return <FormSelect control={control} name="soil" label="Soil" options={OPTIONS} {...emptyIsUnknown} />;
    }
    show(<Form />);
    expect(kept).toBe('clay');
    take('not known');
    expect(kept).toBeNull();
    expect(screen.getByRole('combobox').textContent).toBe('not known');
  });

  it('shows nothing, and changes nothing, where what is kept is not in the list', () => {
    pointing(false);
    const got: string[] = [];
    show(
      <form>
        <List start="chalk" onChange={(v) => got.push(v)} />
      </form>,
    );
    expect(screen.getByRole('combobox').textContent).toBe('');
    expect(got).toEqual([]);
  });
});

describe('what unfolds', () => {
  const line = () => screen.getByRole('button', { name: 'More' });

  it('is drawn when it is first opened, and keeps what was typed when it is closed', () => {
    let drawn = 0;
    const Inside = () => {
      drawn++;
      return <input aria-label="Seconds" />;
    };
    show(
      <Unfold look="act" title="More">
        {() => <Inside />}
      </Unfold>,
    );
    expect(drawn).toBe(0);
    fireEvent.click(line());
    expect(line().getAttribute('aria-expanded')).toBe('true');
    fireEvent.change(screen.getByLabelText('Seconds'), { target: { value: '42' } });
    fireEvent.click(line());
    expect(line().getAttribute('aria-expanded')).toBe('false');
    fireEvent.click(line());
    expect(screen.getByLabelText<HTMLInputElement>('Seconds').value).toBe('42');
  });

  it('follows whoever says that it stands open', () => {
    const page = (open: boolean) => (
      <Unfold look="act" title="More" open={open}>
        {() => <p>inside</p>}
      </Unfold>
    );
    const { again } = show(page(true));
    expect(screen.getByText('inside')).toBeTruthy();
    again(page(false));
    expect(line().getAttribute('aria-expanded')).toBe('false');
  });
});

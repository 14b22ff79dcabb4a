import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { DailyKeys } from '../src/frame/daily-keys';
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

/** The closed list, once it has come. */
async function field(): Promise<HTMLElement> {
  await waitFor(() => expect(screen.getByRole<HTMLButtonElement>('combobox').disabled).toBe(false));
  return screen.getByRole('combobox');
}

/** Opens the list with the keyboard and takes what has these words. */
async function take(words: string): Promise<void> {
  fireEvent.keyDown(await field(), { key: 'ArrowDown' });
  fireEvent.keyDown(screen.getByRole('option', { name: words }), { key: 'Enter' });
}

beforeAll(() => {
  Element.prototype.scrollIntoView ??= () => undefined;
});

describe('one of a list', () => {
  it('is the device’s own with touch, a themed list with a mouse; both give the same', async () => {
    for (const coarse of [true, false]) {
      pointing(coarse);
      const got: string[] = [];
      show(<List start="clay" onChange={(v) => got.push(v)} />);
      const list = await field();
      expect(screen.getByRole('combobox', { name: 'Soil' })).toBe(list);
      expect(list.tagName).toBe(coarse ? 'SELECT' : 'BUTTON');
      if (coarse) fireEvent.change(list, { target: { value: 'loam' } });
      else await take('Loam');
      expect(got).toEqual(['loam']);
      expect(coarse ? (list as HTMLSelectElement).value : list.textContent).toBe(coarse ? 'loam' : 'Loam');
      cleanup();
    }
  });

  it('"none" differs from not chosen: it can be undone, and is nothing in a form', async () => {
    pointing(false);
    let kept: unknown = 'nothing kept yet';
    function Form() {
      const { control, watch } = useForm<{ soil: string | null }>({ defaultValues: { soil: 'clay' } });
      kept = watch('soil');
      return <FormSelect control={control} name="soil" label="Soil" options={OPTIONS} {...emptyIsUnknown} />;
    }
    show(<Form />);
    expect(kept).toBe('clay');
    await take('not known');
    expect(kept).toBeNull();
    expect(screen.getByRole('combobox').textContent).toBe('not known');
  });

  it('shows nothing, and changes nothing, if the saved value is not in the list', async () => {
    pointing(false);
    const got: string[] = [];
    show(
      <form>
        <List start="chalk" onChange={(v) => got.push(v)} />
      </form>,
    );
    expect((await field()).textContent).toBe('');
    expect(got).toEqual([]);
  });
});

test('a letter on a closed list finds a choice, and is not a shortcut', async () => {
  pointing(false);
  const pressed: string[] = [];
  show(
    <>
      <button data-key="l" onClick={() => pressed.push('l')}>
        Look
      </button>
      <List start="clay" onChange={() => undefined} />
      <DailyKeys />
    </>,
  );
  fireEvent.keyDown(await field(), { key: 'l' });
  expect([pressed, screen.getByRole('combobox').textContent]).toEqual([[], 'Loam']);
  fireEvent.keyDown(document.body, { key: 'l' });
  expect(pressed).toEqual(['l']);
});

describe('a fold', () => {
  const line = () => screen.getByRole('button', { name: 'More' });

  it('is drawn when first opened, and keeps what was typed when closed', () => {
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

  it('follows the state it is given', () => {
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

import '../tests/radixInJsdom.ts';
import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, describe, expect, test } from 'vitest';
import { ActionMenu } from './ActionMenu.tsx';
import { ChoiceField } from './ChoiceField.tsx';
import { RadioList } from './RadioList.tsx';
import { Select } from './Select.tsx';
import { Tabs } from './Tabs.tsx';
import { Tick } from './Tick.tsx';

afterEach(cleanup);
const colours = [
  { value: '', label: 'not said' },
  { value: 'moss', label: 'Moss' },
  { value: 'slate', label: 'Slate' },
] as const;
type Colour = (typeof colours)[number]['value'];

/** Holds what is chosen, as a screen does. */
function Held({
  children,
}: {
  children: (value: Colour, choose: (v: Colour) => void) => React.ReactNode;
}) {
  const [value, choose] = useState<Colour>('moss');
  return children(value, choose);
}

describe('a list that one is chosen of', () => {
  const field = () => screen.getByRole('combobox', { name: 'Colour' });
  const shown = () =>
    render(
      <Held>
        {(value, choose) => (
          <ChoiceField label="Colour" value={value} choices={colours} onChoose={choose} />
        )}
      </Held>,
    );

  test('is named by its label, shows what is chosen, and takes another by the pointer', async () => {
    shown();
    expect(field().textContent).toBe('Moss');
    await userEvent.click(field());
    await userEvent.click(screen.getByRole('option', { name: 'Slate' }));
    expect(field().textContent).toBe('Slate');
  });

  test('is opened and walked by keys alone; Escape leaves it as it was', async () => {
    shown();
    field().focus();
    await userEvent.keyboard('{Enter}');
    await userEvent.keyboard('{ArrowDown}{Enter}');
    expect(field().textContent).toBe('Slate');
    await userEvent.keyboard('{Enter}{ArrowUp}{ArrowUp}{Escape}');
    expect(field().textContent).toBe('Slate');
    expect(document.activeElement).toBe(field());
  });

  test('an empty value is a choice like any other', async () => {
    shown();
    await userEvent.click(field());
    await userEvent.click(screen.getByRole('option', { name: 'not said' }));
    expect(field().textContent).toBe('not said');
  });

  test('its list is made when somebody comes to it, and goes with him', async () => {
    shown();
    const made = () => document.querySelectorAll('[role="option"], option').length;
    expect(made()).toBe(0);
    field().focus();
    await userEvent.keyboard('{ArrowDown}');
    expect(made()).toBeGreaterThan(0);
    await userEvent.keyboard('{Escape}');
    await userEvent.tab();
    expect(made()).toBe(0);
  });

  test('is found by its first letters while it is closed', async () => {
    shown();
    const before = field().textContent;
    field().focus();
    await userEvent.keyboard('not');
    expect(before).not.toBe('not said');
    expect(field().textContent).toBe('not said');
    expect(screen.queryByRole('option')).toBeNull();
  });

  test('choices may stand under headings; nothing chosen shows the placeholder', async () => {
    render(
      <Select
        name="Other side"
        value={undefined}
        placeholder="choose"
        choices={[
          { value: 'now', label: 'Now' },
          { heading: 'Builds', choices: [{ value: 'b', label: 'Lantern' }] },
        ]}
        onChoose={() => undefined}
      />,
    );
    const list = screen.getByRole('combobox', { name: 'Other side' });
    expect(list.textContent).toBe('choose');
    await userEvent.click(list);
    const group = screen.getByRole('group', { name: 'Builds' });
    expect(
      within(group)
        .getAllByRole('option')
        .map((o) => o.textContent),
    ).toEqual(['Lantern']);
  });
});

describe('a value that is no longer offered', () => {
  test('stays in sight', () => {
    render(
      <Select
        name="Fuse"
        value="FM40"
        choices={[{ value: 'FB20', label: '20 A' }]}
        onChoose={() => undefined}
      />,
    );
    expect(screen.getByRole('combobox', { name: 'Fuse' }).textContent).toBe('FM40');
  });
});

describe('a menu of actions', () => {
  test('does what is picked, each time', async () => {
    const done: string[] = [];
    render(
      <ActionMenu
        text="Put in …"
        name="Insert after Feed line"
        actions={[
          { value: 'filter', label: 'Filter' },
          { value: 'pump', label: 'Pump' },
        ]}
        onPick={(value) => done.push(value)}
      />,
    );
    const button = screen.getByRole('button', { name: 'Insert after Feed line' });
    await userEvent.click(button);
    await userEvent.click(screen.getByRole('menuitem', { name: 'Pump' }));
    button.focus();
    await userEvent.keyboard('{Enter}{Enter}');
    expect(done).toEqual(['pump', 'filter']);
  });
});

describe('one of a few in sight', () => {
  test.each([
    ['lines', RadioList],
    ['tabs', Tabs],
  ] as const)('as %s: one stop of the tab key, arrows move the choice', async (_as, Control) => {
    render(
      <Held>
        {(value, choose) => (
          <Control label="Colour" value={value} choices={colours} onChoose={choose} />
        )}
      </Held>,
    );
    const chosen = () => screen.getByRole('radio', { checked: true });
    await userEvent.tab();
    expect(document.activeElement).toBe(chosen());
    // The choice follows while the key is down.
    await userEvent.keyboard('{ArrowRight>}');
    await waitFor(() => expect(chosen()).toBe(screen.getByRole('radio', { name: 'Slate' })));
    await userEvent.keyboard('{/ArrowRight}');
    expect(document.activeElement).toBe(chosen());
    await userEvent.click(screen.getByRole('radio', { name: 'not said' }));
    expect(chosen()).toBe(screen.getByRole('radio', { name: 'not said' }));
    expect(screen.getByRole('radiogroup', { name: 'Colour' })).toBeTruthy();
  });
});

describe('a tick', () => {
  test('is set by its words and by the space bar, and says its state', async () => {
    function Both() {
      const [on, setOn] = useState(false);
      return (
        <Tick checked={on} onChange={setOn}>
          Warnings
        </Tick>
      );
    }
    render(<Both />);
    const box = screen.getByRole('checkbox', { name: 'Warnings' });
    expect(box.getAttribute('aria-checked')).toBe('false');
    await userEvent.click(screen.getByText('Warnings'));
    expect(box.getAttribute('aria-checked')).toBe('true');
    box.focus();
    await userEvent.keyboard(' ');
    expect(box.getAttribute('aria-checked')).toBe('false');
  });
});

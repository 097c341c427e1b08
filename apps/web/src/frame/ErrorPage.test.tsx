import { cleanup, render, screen } from '@testing-library/react';
import { RouterProvider, createMemoryRouter } from 'react-router';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { ErrorPage } from './ErrorPage.tsx';

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

/** A page that fails with an error, on its own error page. */
function failing(error: unknown): void {
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
  const Page = () => {
    throw error;
  };
  const router = createMemoryRouter([{ path: '/', element: <Page />, ErrorBoundary: ErrorPage }]);
  render(<RouterProvider router={router} />);
}

describe('the page in the place of one that failed', () => {
  test('says what went wrong, that nothing is lost, and leads on', () => {
    failing(new Error('the curve has no points'));
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('This screen failed');
    expect(screen.getByRole('main').textContent).toContain('Nothing that was entered is lost');
    expect(screen.getByText('the curve has no points')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Try again' })).toBeTruthy();
    expect(screen.getByRole('link', { name: 'All builds' }).getAttribute('href')).toBe('/');
  });

  test('says that a screen could not be fetched, which is no fault of the program', () => {
    failing(new TypeError('Failed to fetch dynamically imported module'));
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe(
      'This screen cannot be fetched',
    );
    expect(screen.getByRole('main').textContent).toContain('no connection');
  });

  test('without a connection blames nothing else', () => {
    vi.spyOn(navigator, 'onLine', 'get').mockReturnValue(false);
    failing(new Error('anything'));
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe(
      'This screen cannot be fetched',
    );
  });

  test('reads what is thrown as a text', () => {
    failing('out of paper');
    expect(screen.getByText('out of paper')).toBeTruthy();
  });
});

import { marked } from 'marked';
import { useEffect, useMemo } from 'react';
import { useLocation } from 'react-router';
import guide from '../../../../../docs/guide.md?raw';
import { Page } from '../../frame/Page.tsx';
import { guideSections } from './guideSections.ts';

/** The user guide, the same text as in the documents folder. */
export function GuideScreen() {
  const { hash } = useLocation();
  const sections = useMemo(() => guideSections(guide), []);
  const pages = useMemo(
    // The text is the program's own.
    () => sections.map((s) => ({ ...s, html: marked.parse(s.text, { async: false }) })),
    [sections],
  );
  useEffect(() => {
    document.getElementById(decodeURIComponent(hash.slice(1)))?.scrollIntoView();
  }, [hash]);
  return (
    <Page title="Guide">
      <div className="grid grid-cols-[220px_1fr] gap-8 max-[800px]:block">
        <nav aria-label="Sections" className="sticky top-2 self-start max-[800px]:static">
          <ul className="border-t-[1.5px] border-ink">
            {pages.map(({ id, title }) => (
              <li key={id} className="border-b-[0.75px] border-hair">
                <a className="block px-1 py-1.5 hover:bg-panel" href={`#${id}`}>
                  {title}
                </a>
              </li>
            ))}
          </ul>
        </nav>
        <div>
          {pages.map(({ id, title, html }) => (
            <section key={id} id={id} className="prose mb-6 scroll-mt-2">
              <h2>{title}</h2>
              <div dangerouslySetInnerHTML={{ __html: html }} />
            </section>
          ))}
        </div>
      </div>
    </Page>
  );
}

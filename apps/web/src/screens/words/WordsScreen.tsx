import { useEffect } from 'react';
import { useLocation } from 'react-router';
import { glossary, wordId } from '../../content/glossary.ts';
import { Page } from '../../frame/Page.tsx';

/** The words of the trade as this program uses them. */
export function WordsScreen() {
  const { hash } = useLocation();
  const marked = decodeURIComponent(hash.slice(1));
  useEffect(() => {
    document.getElementById(marked)?.scrollIntoView({ block: 'center' });
  }, [marked]);
  return (
    <Page title="Words" lead="As they are used here. They are linked wherever they appear.">
      <dl className="columns-2 gap-8 border-t-[1.5px] border-ink pt-2 max-[700px]:columns-1">
        {glossary.map(({ word, meaning }) => (
          <div
            key={word}
            id={wordId(word)}
            className={`mb-2 break-inside-avoid border-l-[3px] pl-2 ${wordId(word) === marked ? 'border-moss bg-panel' : 'border-transparent'}`}
          >
            <dt className="font-medium">{word}</dt>
            <dd>{meaning}.</dd>
          </div>
        ))}
      </dl>
    </Page>
  );
}

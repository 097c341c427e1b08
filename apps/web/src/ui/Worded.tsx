import { Popover } from 'radix-ui';
import { Link } from 'react-router';
import { type GlossaryWord, wordId } from '../content/glossary.ts';
import { splitWords } from '../content/splitWords.ts';

function Word({ text, entry }: { text: string; entry: GlossaryWord }) {
  return (
    <Popover.Root>
      <Popover.Trigger className="word" aria-label={`${text}: what it means`}>
        {text}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          className="settle z-30 w-[280px] max-w-[94vw] border border-ink bg-paper p-3 text-[13px] leading-[18px] text-ink"
          sideOffset={4}
          collisionPadding={8}
        >
          <p className="font-medium">{entry.word}</p>
          <p>{entry.meaning}.</p>
          <Link className="mt-1 inline-block underline" to={`/words#${wordId(entry.word)}`}>
            All words
          </Link>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** A text in which the words of the trade open their meaning. */
export function Worded({ text }: { text: string }) {
  return splitWords(text).map((piece, i) =>
    piece.entry ? <Word key={i} text={piece.text} entry={piece.entry} /> : piece.text,
  );
}

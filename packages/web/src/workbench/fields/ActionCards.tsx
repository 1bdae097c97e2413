/** What an event does as cards: read, changed, put in another order, turned off. Each is a piece of the event's text. */
import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  type ActionCard,
  type CardField,
  type CardList,
  type Control,
  cardText,
  effectiveNames,
  isDialog,
  itemAt,
  locationOf,
  parseExpression,
  sentenceOf,
  turned,
  withCards,
  withPiece,
} from '@hovrin/core';
import { GripVertical, MoreHorizontal } from 'lucide-react';
import { type KeyboardEvent, useId, useState } from 'react';
import { useEditorState } from '../../editor/context.tsx';
import { Menu } from '../../parts/Menu.tsx';

/** What was copied last from any event's cards. */
let copied: { readonly text: string; readonly words: string } | undefined;

/** What could be pasted behind an event's actions. */
export const copiedCard = () => copied;

interface ActionCardsProps {
  /** The event's whole text. */
  readonly text: string;
  readonly list: CardList;
  readonly control: Control;
  /** Where something is wrong in the text. */
  readonly problemAt?: number | undefined;
  readonly onText: (text: string) => void;
  /** What is not possible, in words. */
  readonly onRefused: (words: string) => void;
}

export function ActionCards(props: ActionCardsProps) {
  const { text, list, onText } = props;
  const id = useId();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const texts = list.cards.map((card) => cardText(text, card));
  const put = (next: readonly string[]) => onText(withCards(text, list, next));
  const move = (from: number, to: number) => {
    if (to >= 0 && to < texts.length && to !== from)
      put(texts.toSpliced(from, 1).toSpliced(to, 0, itemAt(texts, from)));
  };
  const dropped = ({ active, over }: DragEndEvent) => {
    if (over) move(Number(active.data.current?.at), Number(over.data.current?.at));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
      <ol className="flex flex-col gap-1">
        {list.cards.map((card, index) => (
          <Card
            // biome-ignore lint/suspicious/noArrayIndexKey: a card has nothing but its place.
            key={index}
            {...props}
            id={`${id} ${index}`}
            card={card}
            at={index}
            onMove={(by) => move(index, index + by)}
            onPut={(own) => put(own === undefined ? texts.toSpliced(index, 1) : texts.with(index, own))}
            onDouble={() => put(texts.toSpliced(index, 0, itemAt(texts, index)))}
          />
        ))}
      </ol>
    </DndContext>
  );
}

interface CardProps extends ActionCardsProps {
  readonly id: string;
  readonly card: ActionCard;
  /** Its place in its list. */
  readonly at: number;
  readonly onMove: (by: number) => void;
  /** Takes another text in its place; undefined: it goes. */
  readonly onPut: (text: string | undefined) => void;
  readonly onDouble: () => void;
}

function Card({ id, card, at, onMove, onPut, onDouble, ...props }: CardProps) {
  const { text, control, problemAt, onText } = props;
  const drag = useDraggable({ id, data: { at } });
  const drop = useDroppable({ id, data: { at } });
  const words = sentenceOf(text, card);
  const short = words.length > 60 ? `${words.slice(0, 60)} …` : words;
  const wrong = problemAt !== undefined && problemAt >= card.span[0] && problemAt < card.span[1];
  const isTarget = drop.isOver && !drag.isDragging;
  return (
    <li
      ref={drop.setNodeRef}
      aria-label={`${card.off ? 'Off: ' : ''}${short}`}
      className={`rounded border bg-paper/60 px-1 py-1 ${wrong ? 'border-brick' : isTarget ? 'border-saffron' : 'border-rule'} ${drag.isDragging ? 'relative z-10 opacity-70' : ''}`}
      style={drag.transform ? { transform: `translateY(${drag.transform.y}px)` } : undefined}
    >
      <div className="flex items-center gap-1">
        <button
          type="button"
          ref={drag.setNodeRef}
          {...drag.listeners}
          className="btn-bare !h-6 !min-w-4 cursor-grab touch-none !px-0 text-quiet"
          aria-label={`Move ${short}`}
          title="Drag, or press the up and down arrows"
          onKeyDown={(event) => moveByKey(event, at, onMove)}
        >
          <GripVertical size={13} />
        </button>
        <span
          className={`min-w-0 flex-1 break-words text-[12.5px] ${card.off ? 'text-quiet line-through' : card.note ? 'text-quiet italic' : 'font-medium'}`}
        >
          {card.off ? words : card.words}
        </span>
        <CardMenu {...{ card, at, short, onMove, onPut, onDouble }} {...props} />
      </div>
      {card.fields.length > 0 && (
        <div className="ml-5 flex flex-col gap-1 pr-1">
          {card.fields.map((field, index) => (
            <Piece
              // biome-ignore lint/suspicious/noArrayIndexKey: a field has nothing but its place.
              key={index}
              text={text}
              field={field}
              control={control}
              label={`${card.words} ${field.label}`.trim()}
              onPiece={(piece) => onText(withPiece(text, field.span, piece))}
            />
          ))}
        </div>
      )}
      {card.lists.map((inner) => (
        <fieldset
          key={inner.label}
          className="mt-1 ml-2 border-l-2 border-rule pl-1.5"
          aria-label={inner.label}
        >
          <span className="text-[12px] text-quiet">{inner.label}</span>
          {inner.cards.length > 0 ? (
            <ActionCards {...props} list={inner} />
          ) : (
            <span className="text-[12px] text-quiet"> nothing</span>
          )}
        </fieldset>
      ))}
    </li>
  );
}

/** Moves a card by an arrow key; the focus goes along. @param at its place. */
function moveByKey(event: KeyboardEvent<HTMLElement>, at: number, onMove: (by: number) => void): void {
  const by = { ArrowUp: -1, ArrowDown: 1 }[event.key];
  if (by === undefined) return;
  event.preventDefault();
  event.stopPropagation();
  onMove(by);
  const buttons = event.currentTarget
    .closest('ol')
    ?.querySelectorAll<HTMLElement>(':scope > li > div > button:first-child');
  // At once: a second arrow that comes before the next frame moves the same card.
  buttons?.[at + by]?.focus();
}

/** @param short the card in a few words. */
function CardMenu({
  card,
  at,
  short,
  text,
  list,
  onMove,
  onPut,
  onDouble,
  onText,
  onRefused,
}: Omit<CardProps, 'id'> & { short: string }) {
  const { more } = card;
  const turn = () => {
    const own = turned(text, card);
    if (own === undefined)
      onRefused('What holds */ cannot be turned off: it would end the comment around it.');
    else onPut(own);
  };
  return (
    <Menu
      label={`More for ${short}`}
      button={
        <button type="button" className="btn-bare !h-6 !min-w-5" aria-label={`More for ${short}`}>
          <MoreHorizontal size={13} />
        </button>
      }
      entries={[
        ...(card.note ? [] : [{ label: card.off ? 'Turn on' : 'Turn off', onSelect: turn }]),
        ...(more
          ? [
              {
                label: more.label,
                onSelect: () => onText(withPiece(text, [more.at, more.at], more.text)),
              },
            ]
          : []),
        { label: 'Move up', disabled: at === 0, onSelect: () => onMove(-1) },
        { label: 'Move down', disabled: at === list.cards.length - 1, onSelect: () => onMove(1) },
        { label: 'Duplicate', onSelect: onDouble },
        {
          label: 'Copy',
          onSelect: () => {
            copied = { text: cardText(text, card), words: short };
            void navigator.clipboard?.writeText(copied.text).catch(() => undefined);
          },
        },
        { label: 'Delete', danger: true, onSelect: () => onPut(undefined) },
      ]}
    />
  );
}

/** A text in quotes as it is; undefined where it is an expression. */
function quoted(piece: string): string | undefined {
  const read = parseExpression(piece);
  return read.ok && read.value.type === 'literal' && typeof read.value.value === 'string'
    ? read.value.value
    : undefined;
}

/** A piece of the text: chosen from names where it is one, else an expression, taken once it can be read. */
function Piece({
  text,
  field: { label, kind, span },
  control,
  label: full,
  onPiece,
}: {
  text: string;
  field: CardField;
  control: Control;
  label: string;
  onPiece: (piece: string) => void;
}) {
  const { project } = useEditorState('project');
  const [typed, setTyped] = useState<string>();
  const piece = text.slice(...span);
  const name = quoted(piece);
  const names = kind === 'expression' || name === undefined ? undefined : namesFor(kind);
  function namesFor(of: CardField['kind']): readonly string[] {
    if (of === 'control') return [...effectiveNames(locationOf(project, control.id).screen).values()];
    return project.screens
      .filter((screen) => isDialog(screen) === (of === 'dialog'))
      .flatMap((screen) => screen.name ?? []);
  }
  const problem = typed === undefined ? undefined : parseExpression(typed);
  const wrong = problem !== undefined && !problem.ok;
  const commit = () => {
    if (wrong) return;
    if (typed !== undefined && typed !== piece) onPiece(typed.trim());
    setTyped(undefined);
  };
  return (
    <div className="flex items-center gap-1.5 text-[12px]">
      {label && <span className="shrink-0 text-quiet">{label}</span>}
      {names ? (
        <select
          className="field !h-6 min-w-0 flex-1 text-[12px]"
          aria-label={full}
          value={name}
          onChange={(event) => onPiece(JSON.stringify(event.target.value))}
        >
          {!names.includes(name!) && (
            <option value={name}>{name === '' ? 'choose' : `${name} (not there)`}</option>
          )}
          {names.map((each) => (
            <option key={each} value={each}>
              {each}
            </option>
          ))}
        </select>
      ) : (
        <input
          className="field !h-6 min-w-0 flex-1 font-mono text-[12px]"
          aria-label={full}
          aria-invalid={wrong}
          title={problem && !problem.ok ? problem.problem.message : piece}
          spellCheck={false}
          value={typed ?? piece}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === 'Enter') commit();
            if (event.key === 'Escape') setTyped(undefined);
          }}
        />
      )}
    </div>
  );
}

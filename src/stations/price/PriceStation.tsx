'use client';
import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import {
  Bench,
  Button,
  ButtonLink,
  ChoiceField,
  FactList,
  Field,
  Figures,
  NoSizes,
  Problem,
  SectionLabel,
  Sentence,
  SizePicker,
  Slip,
  SlipSub,
  SlipTitle,
  Small,
  Surface,
  TableHead,
  TitleBlock,
  useActionForm,
  useFormat,
} from '@/shell';
import type { TypedValues } from '@/shell';
import { PARTS, PriceBar } from './PriceBar';
import { keepPrice, reckonPrice } from './actions';
import type { PriceView } from './view';

const Columns = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 34px;
  max-width: 720px;
  > div {
    display: grid;
    gap: 6px;
    align-content: start;
  }
`;

/** Price: what one impression costs, what the channel takes, and the price that leaves the margin. */
export const PriceStation = (view: PriceView) => (
  <PriceOfSize key={`${view.work.id} ${view.picked?.key}`} {...view} />
);

function PriceOfSize({ work, picked, currency, set, ladder, start, first }: PriceView) {
  const format = useFormat();
  const fixed = { workId: String(work.id), sizeKey: picked?.key ?? '' };
  const { form, submit, sending, problem } = useActionForm(keepPrice, start, {
    fixed,
    done: 'Price kept.',
  });
  /** What the numbers typed come to; the first comes with the page. */
  const [answer, setAnswer] = useState(first);
  const typed = JSON.stringify(form.watch());
  const reckoned = useRef(JSON.stringify(start));
  useEffect(() => {
    if (typed === reckoned.current) return;
    let stale = false;
    const timer = setTimeout(() => {
      void reckonPrice({
        ...(JSON.parse(typed) as TypedValues),
        workId: String(work.id),
        sizeKey: picked?.key ?? '',
      }).then((r) => {
        if (stale) return;
        reckoned.current = typed;
        setAnswer(r);
        if (r.ok) form.clearErrors();
        else
          for (const [name, message] of Object.entries(r.fields))
            form.setError(name, { message });
      });
    }, 120);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [typed, work.id, picked?.key, form]);
  const field = { form };
  const r = answer.ok ? answer.value : null;
  return (
    <Bench>
      <Surface>
        <TitleBlock>
          <h1>{work.title}</h1>
          <p>Price of one impression, all amounts in {currency}</p>
        </TitleBlock>
        {!picked ? (
          <NoSizes workId={work.id} />
        ) : (
          <>
            <SizePicker
              path={`/works/${work.id}/price`}
              picked={picked.key}
              sizes={ladder.map((l) => ({
                key: l.key,
                label: l.label,
                note: l.price === null ? '' : format.amount(l.price),
              }))}
            />
            <TableHead>Where the price goes</TableHead>
            {r ? (
              <PriceBar r={r} />
            ) : (
              <p style={{ color: 'var(--soft)', height: 92 }}>
                No price can be found from these numbers; the field says why.
              </p>
            )}
            <form
              method="dialog"
              onSubmit={(e) => {
                e.preventDefault();
                submit();
              }}
            >
              <Columns>
                <div>
                  <SectionLabel>Each impression</SectionLabel>
                  <Field {...field} name="printing" label="Printing" unit={currency} />
                  <Field {...field} name="paper" label="Paper" unit={currency} />
                  <Field {...field} name="finishing" label="Finishing" unit={currency} />
                  <Field {...field} name="packing" label="Packing" unit={currency} />
                  <Field
                    {...field}
                    name="postage"
                    label="Postage you pay"
                    unit={currency}
                  />
                  <Field {...field} name="hours" label="Your time" unit="h" />
                  <Field {...field} name="hourlyRate" label="Your hour" unit={currency} />
                  <Field {...field} name="spoilage" label="Spoilage" unit="%" />
                </div>
                <div>
                  <SectionLabel>Once, spread over the edition</SectionLabel>
                  <Field {...field} name="capture" label="Capture, once" unit={currency} />
                  <Field {...field} name="proofs" label="Proofs, once" unit={currency} />
                  <Field
                    {...field}
                    name="expectedImpressions"
                    label="Spread over"
                    unit="prints"
                  />
                  <SectionLabel>Channel</SectionLabel>
                  <ChoiceField
                    {...field}
                    name="channel"
                    label="Channel"
                    options={['own site', 'marketplace', 'gallery', 'fair'].map(
                      (c) => [c, c] as const,
                    )}
                  />
                  <Field {...field} name="commission" label="Commission" unit="%" />
                  <Field {...field} name="payment" label="Payment fee" unit="%" />
                  <Field
                    {...field}
                    name="fixed"
                    label="Fixed fee per sale"
                    unit={currency}
                  />
                </div>
              </Columns>
              <button type="submit" className="sr" tabIndex={-1} aria-hidden>
                Keep
              </button>
            </form>
          </>
        )}
      </Surface>
      {picked && (
        <Slip
          label="The price"
          actions={
            <>
              <Button onPress={submit} isDisabled={sending || r === null}>
                Keep this price
              </Button>
              {set && (
                <ButtonLink $plain href={`/works/${work.id}/finish?size=${picked.key}`}>
                  Go to Finish
                </ButtonLink>
              )}
            </>
          }
        >
          <SlipTitle>{picked.label}</SlipTitle>
          <SlipSub>
            {set
              ? `kept ${format.day(set.at)}: ${format.money(set.price)}`
              : 'no price kept yet'}
          </SlipSub>
          <Figures
            figures={[
              { value: r ? format.amount(r.gross) : '–', unit: '', label: 'price, gross' },
              { value: r ? format.amount(r.net) : '–', unit: '', label: 'net to you' },
            ]}
          />
          <Sentence>
            {r
              ? `Of ${format.money(r.gross)}, ${format.money(r.total)} is cost and ${format.money(r.fees)} goes to the channel: ${format.percent(r.margin, 1)} stays.`
              : 'Margin and fees must leave something of the price.'}
          </Sentence>
          <Field {...field} name="margin" label="Target margin" unit="%" />
          <Field {...field} name="step" label="Round up to" unit={currency} />
          {r && (
            <FactList
              facts={[
                ...r.cost.map((p): [string, string] => [
                  PARTS[p.part] ?? p.part,
                  format.amount(p.amount),
                ]),
                ['cost of one impression', format.amount(r.total)],
                ['channel takes', format.amount(r.fees)],
              ]}
            />
          )}
          {work.price > 0 && (
            <Small>
              Rule of thumb: a print at the original’s size at about a third of the
              original, {format.money(Math.round(work.price / 3))}.
            </Small>
          )}
          <Small>Tax is not in these figures; local rules decide.</Small>
          <Problem>{problem}</Problem>
        </Slip>
      )}
    </Bench>
  );
}

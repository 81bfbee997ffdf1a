'use client';
import styled from 'styled-components';
import { EYE_ASPECTS, EYE_SCALE } from '@/core/proof';
import type { ByEye } from '@/core/proof';
import { EYE_ENDS, EYE_NAMES, eyeWords } from './words';

const Rows = styled.div`
  display: grid;
  grid-template-columns: auto 1fr auto 1fr;
  gap: 2px 6px;
  white-space: nowrap;
  align-items: center;
  font-size: 12px;
  > span:nth-child(4n + 2) {
    text-align: right;
    color: var(--soft);
  }
  > span:nth-child(4n) {
    color: var(--soft);
  }
`;

const Scale = styled.div`
  display: flex;
  button {
    appearance: none;
    width: 22px;
    height: 20px;
    padding: 0;
    border: 1px solid #6f6f6f;
    margin-left: -1px;
    background: #fff;
    font: inherit;
    font-size: 11.5px;
    color: var(--ink);
    cursor: pointer;
    &[aria-pressed='true'] {
      background: var(--ink);
      color: #fff;
    }
  }
`;

const STEPS = ['−2', '−1', '0', '+1', '+2'] as const;

/** What is judged by eye, each on a scale of five; a second press takes it back. */
export const ByEyeFields = ({
  value,
  onChange,
}: {
  value: ByEye;
  onChange: (value: ByEye) => void;
}) => (
  <Rows role="group" aria-label="Judged by eye">
    {EYE_ASPECTS.map((aspect) => (
      <div key={aspect} style={{ display: 'contents' }}>
        <span>{EYE_NAMES[aspect]}</span>
        <span>{EYE_ENDS[aspect][0].replace('too ', '')}</span>
        <Scale>
          {EYE_SCALE.map((step, i) => (
            <button
              key={step}
              type="button"
              aria-label={eyeWords(aspect, step)}
              aria-pressed={value[aspect] === step}
              onClick={() => {
                const { [aspect]: was, ...others } = value;
                onChange(was === step ? others : { ...others, [aspect]: step });
              }}
            >
              {STEPS[i]}
            </button>
          ))}
        </Scale>
        <span>{EYE_ENDS[aspect][1].replace('too ', '')}</span>
      </div>
    ))}
  </Rows>
);

import { styled } from 'styled-components'
import { pageText } from '~/messages'
import { LIMITS } from '~/model'
import { Field, Part, PLAIN, Press, Quiet } from './clientLook'
import { type ClientView, dayText } from './clientView'

const Line = styled.div`
  & canvas,
  & svg {
    display: block;
    width: 100%;
    max-width: 460px;
    height: 150px;
    border: 1px solid ${PLAIN.edge};
    border-radius: 6px;
    background: ${PLAIN.raised};
  }
`
const Fields = styled.div`
  display: grid;
  gap: 14px;
`

/** The end of the page: the name that signs, and a line drawn with a finger; or who signed and when. */
export function SignPart({ view }: { readonly view: ClientView }) {
  const { signed } = view.page
  if (signed)
    return (
      <Part aria-label={pageText.sign}>
        <h2>{pageText.sign}</h2>
        <p>{pageText.signed(signed.name, dayText(signed.signedAt))}</p>
        {signed.line.length > 0 ? (
          <Line>
            <svg viewBox="0 0 460 150" role="img" aria-label={signed.name}>
              {signed.line.map((stroke, i) => (
                <polyline
                  key={i}
                  points={stroke.map(([x, y]) => `${(x * 460).toFixed(1)},${(y * 150).toFixed(1)}`).join(' ')}
                  fill="none"
                  stroke="#000"
                  strokeWidth={2}
                  strokeLinecap="round"
                />
              ))}
            </svg>
          </Line>
        ) : null}
        <Quiet style={{ overflowWrap: 'anywhere' }}>{pageText.fingerprint(signed.fingerprint)}</Quiet>
      </Part>
    )
  return (
    <Part aria-label={pageText.sign}>
      <h2>{pageText.sign}</h2>
      <p>{pageText.signHelp}</p>
      <Fields data-answer="" data-sign="">
        <input type="hidden" name="shown" value={view.digests} />
        <input type="hidden" name="line" defaultValue={view.typed.line} />
        <Field>
          {pageText.name}
          <input name="name" autoComplete="name" maxLength={LIMITS.name} defaultValue={view.typed.name} />
        </Field>
        <Line hidden data-line="">
          <Quiet>{pageText.line}</Quiet>
          <canvas role="img" aria-label={pageText.line} />
          <Press type="button" data-clear="">
            {pageText.clear}
          </Press>
        </Line>
        <Press type="submit" name="do" value="sign" $main>
          {pageText.signIt}
        </Press>
      </Fields>
    </Part>
  )
}

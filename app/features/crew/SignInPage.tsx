import { useEffect } from 'react'
import { Form } from 'react-router'
import { styled } from 'styled-components'
import { crewText } from '~/messages'
import { forgetPages } from '~/offline/register'
import { Button } from '~/ui/Button'
import { Logo } from '~/ui/Logo'
import { Alert, PageMain, Row, Sheet, Soft } from '~/ui/page'
import { TextBox } from '~/ui/TextBox'
import { space } from '~/ui/theme'

const Title = styled.h1`
  display: flex;
  align-items: center;
  gap: ${space.s};
`

export interface SignInPageProps {
  readonly to: string
  /** A code that came with the address, from the desk's picture. */
  readonly code: string
  readonly nobodyYet: boolean
  readonly said: string | null
}

/** The way in: with a passphrase, or with a code shown on the desk. */
export function SignInPage({ to, code, nobodyYet, said }: SignInPageProps) {
  // pages that are kept on this device hold other people's walls
  useEffect(() => forgetPages(), [])
  const withCode = (
    <Form method="post" key="code">
      <Sheet>
        <h2>With a code from the desk</h2>
        <input type="hidden" name="to" value={to} />
        <TextBox label="Code" name="code" defaultValue={code} isRequired />
        <Row>
          <Button type="submit" {...(code === '' ? {} : { $kind: 'main' })}>
            Let this phone in
          </Button>
        </Row>
      </Sheet>
    </Form>
  )
  const withPassphrase = (
    <Form method="post" key="passphrase">
      <Sheet>
        <h2>With your passphrase</h2>
        <input type="hidden" name="to" value={to} />
        <TextBox label="Name" name="name" autoComplete="username" isRequired />
        <TextBox
          label="Passphrase"
          name="passphrase"
          type="password"
          autoComplete="current-password"
          isRequired
        />
        <Row>
          <Button type="submit" {...(code === '' ? { $kind: 'main' } : {})}>
            Come in
          </Button>
        </Row>
      </Sheet>
    </Form>
  )
  return (
    <PageMain>
      <Title>
        <Logo /> Come in
      </Title>
      {said ? <Alert role="alert">{said}</Alert> : null}
      {nobodyYet ? <Soft>{crewText.nobody}</Soft> : null}
      {code === '' ? [withPassphrase, withCode] : [withCode, withPassphrase]}
    </PageMain>
  )
}

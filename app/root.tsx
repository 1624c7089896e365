import '@fontsource-variable/archivo/wght.css'
import archivo from '@fontsource-variable/archivo/files/archivo-latin-wght-normal.woff2?url'
import { I18nProvider, RouterProvider } from 'react-aria-components'
import {
  isRouteErrorResponse,
  Links,
  Meta,
  type NavigateOptions,
  Outlet,
  Scripts,
  ScrollRestoration,
  type ShouldRevalidateFunctionArgs,
  useHref,
  useNavigate,
  useRouteLoaderData,
} from 'react-router'
import type { Route } from './+types/root'
import { Anywhere } from './features/anywhere/Anywhere'
import { Trouble } from './features/trouble/Trouble'
import { databaseGate, memberContext, signInGate, standingOf } from './server/crew/entry.server'
import { buildNow } from './server/news.server'
import { themeOf } from './server/theme.server'
import { GlobalStyle } from './ui/GlobalStyle'
import { useNonce } from './ui/nonce'

declare module 'react-aria-components' {
  interface RouterConfig {
    routerOptions: NavigateOptions
  }
}

/** The type is asked for with the page: a page that changes its type once it is up jumps. */
export const links: Route.LinksFunction = () => [
  { rel: 'preload', href: archivo, as: 'font', type: 'font/woff2', crossOrigin: 'anonymous' },
]

/** On the network nobody is let in without signing in. */
export const middleware = [databaseGate, signInGate]

export function loader({ request, context }: Route.LoaderArgs) {
  const member = context.get(memberContext)
  return {
    theme: themeOf(request),
    build: buildNow(),
    member: member && { id: member.id, name: member.name },
    standing: standingOf(context),
  }
}

/** The look is the page's own once it is up; pages that need nothing else open without the server. Who is in is asked again as somebody comes in or goes. */
export function shouldRevalidate({ formAction }: ShouldRevalidateFunctionArgs) {
  return formAction !== undefined && /^\/(sign-in|crew)\b/.test(formAction)
}

export function Layout({ children }: { children: React.ReactNode }) {
  const nonce = useNonce()
  const data = useRouteLoaderData<typeof loader>('root')
  return (
    <html
      lang="en-US"
      dir="ltr"
      data-theme={data?.theme ?? 'light'}
      data-build={data?.build ?? ''}
      data-member={data?.member?.id}
      data-member-name={data?.member?.name}
      suppressHydrationWarning
    >
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <meta property="csp-nonce" nonce={nonce} suppressHydrationWarning />
        <link rel="icon" href="/favicon.svg" type="image/svg+xml" />
        <link rel="manifest" href="/manifest.webmanifest" />
        <Meta />
        <Links />
      </head>
      <body>
        {children}
        <ScrollRestoration />
        <Scripts />
      </body>
    </html>
  )
}

function Frame({ children }: { children: React.ReactNode }) {
  const navigate = useNavigate()
  return (
    <I18nProvider locale="en-US">
      <RouterProvider navigate={navigate} useHref={useHref}>
        <GlobalStyle />
        <Anywhere>{children}</Anywhere>
      </RouterProvider>
    </I18nProvider>
  )
}

export default function App() {
  return (
    <Frame>
      <Outlet />
    </Frame>
  )
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  const said = isRouteErrorResponse(error) ? { status: error.status, text: String(error.data ?? '') } : null
  // what a browser throws where a fetch came to nothing
  const away = error instanceof TypeError && /fetch|network/i.test(error.message)
  return (
    <Frame>
      <Trouble status={said?.status ?? (away ? null : 500)} text={said?.text ?? ''} />
    </Frame>
  )
}

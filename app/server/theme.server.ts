import { type Theme, THEME_COOKIE, THEMES } from '~/model'

/** The look the person chose last, from the cookie. */
export function themeOf(request: Request): Theme {
  const cookies = request.headers.get('cookie') ?? ''
  const value = cookies
    .split(/;\s*/)
    .find((cookie) => cookie.startsWith(`${THEME_COOKIE}=`))
    ?.slice(THEME_COOKIE.length + 1)
  return THEMES.find((theme) => theme === value) ?? 'light'
}

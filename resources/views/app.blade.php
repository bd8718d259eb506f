<!doctype html>
<html lang="{{ \Impa\Voice\Voice::current()->language->value }}">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csp-nonce" property="csp-nonce" content="{{ Vite::cspNonce() }}" nonce="{{ Vite::cspNonce() }}">
    @if (config('impa.accounts'))
    <meta name="accounts" content="yes">
    @auth
    <meta name="felter" content="{{ Auth::id() }}">
    @endauth
    @endif
    @if (config('impa.accounts') || App\Sharing\Share::through(request()))
    <meta name="away" content="yes">
    @endif
    @if (config('impa.accounts') || App\Sharing\Share::address() !== '')
    <meta name="several" content="yes">
    @endif
    <link rel="manifest" href="/manifest.webmanifest">
    <title>Impa</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @vite('resources/app/main.ts')
</head>
<body>
    <div id="app"></div>
    <noscript>{{ \Impa\Voice\Message::of('house.refused.scripts') }}</noscript>
</body>
</html>

<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="robots" content="noindex">
    <meta name="referrer" content="no-referrer">
    <title>Practice · Gorvan</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <meta name="color-scheme" content="light dark">
    <script id="first-look">{!! App\Http\FirstLook::script() !!}</script>
    @foreach (['alegreya', 'atkinson-hyperlegible-next'] as $family)
        <link rel="preload" as="font" type="font/woff2" href="{{ Vite::asset("node_modules/@fontsource-variable/$family/files/$family-latin-wght-normal.woff2") }}" crossorigin>
    @endforeach
    @viteReactRefresh
    @vite(['resources/css/app.css', 'resources/js/mine/mine.tsx'])
</head>
<body>
    <div id="app"></div>
    <noscript>This page draws itself in the browser; please switch JavaScript on.</noscript>
</body>
</html>

<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="robots" content="noindex">
    <title>Gorvan</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <link rel="manifest" href="/gorvan.webmanifest">
    <meta name="color-scheme" content="light dark">
    <script id="first-look">{!! App\Http\FirstLook::script() !!}</script>
    @foreach (['alegreya', 'atkinson-hyperlegible-next'] as $family)
        <link rel="preload" as="font" type="font/woff2" href="{{ Vite::asset("node_modules/@fontsource-variable/$family/files/$family-latin-wght-normal.woff2") }}" crossorigin>
    @endforeach
    @viteReactRefresh
    @vite(['resources/css/app.css', 'resources/js/main.tsx'])
</head>
<body>
    <div id="app"></div>
    <noscript>Gorvan draws its pages in the browser; please switch JavaScript on.</noscript>
</body>
</html>

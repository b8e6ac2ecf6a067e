<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="robots" content="noindex">
    <meta name="referrer" content="no-referrer">
    <title>Practice · Gorvan</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @viteReactRefresh
    @vite(['resources/css/app.css', 'resources/js/mine/mine.tsx'])
</head>
<body>
    <div id="app"></div>
    <noscript>This page draws itself in the browser; please switch JavaScript on.</noscript>
</body>
</html>

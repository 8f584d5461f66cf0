<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Jorvel</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @vite(['resources/ui/main.tsx'])
</head>
<body>
    <div id="app"></div>
    <noscript>Jorvel needs JavaScript.</noscript>
</body>
</html>

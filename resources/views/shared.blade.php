<!doctype html>
<html lang="{{ Impa\Voice\Voice::current()->language->value }}">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="robots" content="noindex">
    <title>{{ $name }} - Impa</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <link rel="stylesheet" href="/plain.css">
</head>
<body>
    <main class="shared">
        <img src="/shared/{{ $token }}/picture.png" alt="{{ $alt }}" width="360" height="360">
        <div>
            <h1>{{ $name }}</h1>
            <p>{{ $is }}</p>
            <p>{{ $takes }}</p>
            <p><a href="/shared/{{ $token }}/figure.impa.json" download>{{ $take }}</a>: {{ $then }}</p>
        </div>
    </main>
</body>
</html>

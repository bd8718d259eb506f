<!doctype html>
<html lang="en">
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
        <img src="/shared/{{ $token }}/picture.png" alt="{{ $name }} from the front" width="360" height="360">
        <div>
            <h1>{{ $name }}</h1>
            <p>{{ round($heightMm) }} mm high, of {{ $parts }} {{ $parts === 1 ? 'shape' : 'shapes' }}.</p>
            <p>It takes about {{ round($grams, 1) }} g of wool and {{ round($hours, 1) }} hours of hands, in {{ $steps }} steps.</p>
            <p><a href="/shared/{{ $token }}/figure.impa.json" download>Take the figure with you</a>:
                drop the file on the shelf of your own Impa.</p>
        </div>
    </main>
</body>
</html>

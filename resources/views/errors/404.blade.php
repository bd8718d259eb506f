<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Not here - Impa</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <link rel="stylesheet" href="/plain.css">
</head>
<body>
    <main>
        <h1>There is nothing here</h1>
        <p>No figure lies under this number. It may be in the bin, or thrown away for good.</p>
        <p><a href="/">Back to the shelf</a> &nbsp; <a href="/bin">Look in the bin</a></p>
    </main>
</body>
</html>

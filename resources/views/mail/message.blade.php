<!DOCTYPE html>
<html lang="en">
    <head>
        <meta charset="utf-8">
        <meta name="viewport" content="width=device-width, initial-scale=1">
        <style>
            body { max-width: 640px; margin: 0 auto; padding: 16px; font: 16px/24px Georgia, serif; color: #1b2530; background: #fdfaf3; }
            h1 { font-size: 24px; line-height: 30px; }
            h2 { font-size: 19px; line-height: 26px; border-top: 1px solid #bfb59f; padding-top: 12px; }
            table { border-collapse: collapse; font: 14px/22px sans-serif; }
            th, td { padding: 2px 12px 2px 0; border-bottom: 1px solid #d9d0bd; text-align: left; }
            .foot { font: 13px/19px sans-serif; color: #4a5563; border-top: 1px solid #bfb59f; padding-top: 8px; }
            code { overflow-wrap: anywhere; }
        </style>
    </head>
    <body>
        {{ $html }}
        <p class="foot">
            <a href="{{ $address }}">Read it in Watchpost</a>, with its charts and what happens since.<br>
            <a href="{{ $unsubscribe }}">Send me no more mails</a>
        </p>
    </body>
</html>

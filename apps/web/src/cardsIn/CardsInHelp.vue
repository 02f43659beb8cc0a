<template>
  <div class="help">
    <p>Drop a file here, or press <kbd>u</kbd>. Before anything is kept you see what would happen.</p>
    <p>
      <strong>JSON</strong>: one card, or several in one file. A card that is here under the same revision with another
      body is shown beside yours; nothing is overwritten.
    </p>
    <p>
      <strong>CSV</strong>: one row a limit. The first row names the columns:
      <span class="n">maker, model, check, from, to, limit (Ω)</span>, and if you have them kind, for, source, grade.
      Limits as people write them: <span class="n">318 ±10%</span>, <span class="n">0.66–0.90</span>,
      <span class="n">> 20M @ 500V</span>, <span class="n">open</span>. Every card it touches gets a draft; you publish
      it.
    </p>
    <p><a href="/api/v1/cards/figures.csv" download>Your own figures as CSV</a> show every column.</p>
  </div>
</template>

<style scoped>
.help {
  display: grid;
  gap: 10px;
  max-width: 80ch;
  border: 2px dashed var(--hairline);
  padding: 24px;
  font-size: 17px;
}
</style>

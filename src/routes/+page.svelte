<h1>Ulterum</h1>

# frozen_string_literal: true

require_relative "harness"
require_relative "../boot/label_line"

# The label line on the spec's lines: milliseconds a line. Baseline: cutting the same lines into tokens. Goal: 5 ms a
# line.
cases =
  File
    .readlines(File.expand_path("../spec/core/label_line_cases.txt", __dir__), chomp: true)
    .reject { |row| row.start_with?("#") }
    .map { |row| row.split(" | ").first }
today = Date.new(2026, 11, 24)
reader = NutShelf::Boot::LabelLine.demo_reader
result =
  Harness.compare(
    25,
    baseline: -> { cases.each { |line| NutShelf::Core::LabelLine::Tokens.cut(line) } },
    subject: -> { cases.each { |line| reader.read(line, today: today) } }
  )
slowest = cases.max_by { |line| Harness.time { reader.read(line, today: today) } }
Harness.report(
  "label_line",
  lines: cases.size,
  bytes: cases.sum(&:bytesize),
  ms_per_line_median: (result[:median_ms] / cases.size).round(3),
  ms_per_line_p95: (result[:p95_ms] / cases.size).round(3),
  slowest_line: slowest,
  slowest_ms: Harness.time { reader.read(slowest, today: today) }.round(3),
  lexicon_ms: Harness.time { NutShelf::Boot::LabelLine.demo_reader }.round(1),
  **result
)

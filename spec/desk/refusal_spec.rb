# frozen_string_literal: true

require "spec_helper"
require "json"
require "ripper"
require "yaml"
require_relative "../../desk/refusal"

RSpec.describe NutShelf::Desk::Refusal do
  root = File.expand_path("../..", __dir__)
  sources = %w[desk api].flat_map { |room| Dir[File.join(root, room, "**", "*.rb")] }
  # Every call by its name and the keywords it gives, read by the parser.
  calls = lambda do |node, found = []|
    if node.is_a?(Array)
      if node.first == :method_add_arg && Array(node.dig(1, 3))[1] == "of" && node[1].to_s.include?('"Refusal"')
        found << node[2]
      end
      node.each { |child| calls.(child, found) }
    end
    found
  end
  asked =
    sources.flat_map do |path|
      calls
        .(Ripper.sexp(File.read(path)))
        .flat_map do |arguments|
          names = arguments.dig(1, 1, 0).to_s.scan(/\[:symbol, \[:@ident, "(\w+)"/).flatten
          keywords = arguments.to_s.scan(/\[:@label, "(\w+):"/).flatten - %w[at]
          names.map { |name| [name.to_sym, keywords, path.delete_prefix("#{root}/")] }
        end
    end
  places = ->(refusal) { refusal.values_at("title", "remedy").join(" ").scan(/%\{(\w+)\}/).flatten.uniq.sort }

  it "is asked for by names the list knows, and the list holds none that nobody asks for" do
    expect(asked.map(&:first).uniq.sort).to eq(described_class::ALL.keys.sort)
  end

  it "is told what its sentence names" do
    short =
      asked.filter_map do |name, keywords, path|
        wanted = places.(described_class::ALL.fetch(name))
        "#{path}: #{name} wants #{wanted}" unless (wanted - keywords).empty?
      end
    expect(short).to be_empty
  end

  it "carries a code of the contract, and ends its sentences" do
    codes = YAML.safe_load_file(File.join(root, "contract", "error_codes.yaml"))
    described_class::ALL.each do |name, refusal|
      expect(codes).to include(refusal.fetch("code")), name.to_s
      expect(refusal.values_at("title", "remedy")).to all(match(/[.}]\z/)), name.to_s
    end
  end

  it "is the only way desk and api refuse in words" do
    bare = sources.reject { |path| path.end_with?("refusal.rb") }.select do |path|
      File.read(path).match?(/\b(Invalid|Conflict|Forbidden)\.new\b/)
    end
    expect(bare).to be_empty
  end

  it "says what, where and how to mend, and names what it is about" do
    error = described_class.of(:day_passed, at: "/on", day: Date.new(2026, 11, 20))
    expect(error).to be_a(NutShelf::Desk::Invalid)
    expect([error.message, error.remedy]).to eq(["2026-11-20 has passed.", "Choose today or a later day."])
    expect(error.details).to include(reason: :day_passed, params: { day: "2026-11-20" }, pointer: "/on")
  end

  it "is no refusal without what its sentence names" do
    expect { described_class.of(:day_passed, at: "/on") }.to raise_error(KeyError)
    expect { described_class.of(:no_such_thing) }.to raise_error(KeyError)
  end
end

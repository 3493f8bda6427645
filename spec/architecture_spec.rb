# frozen_string_literal: true

require "open3"
require "ripper"
require "spec_helper"
require "yaml"

# Holds the house to its plan: doors lead downward only, core loads in single pieces and talks to nobody.
RSpec.describe "The house" do
  root = File.expand_path("..", __dir__)
  allowed = {
    "core" => [], "exchange" => %w[core], "store" => %w[core], "devices" => %w[core],
    "desk" => %w[core store exchange], "api" => %w[desk core store exchange contract devices],
    "boot" => %w[api desk devices store exchange core], "demo" => %w[boot desk store core api],
    "bench" => %w[boot desk store core exchange api demo spec], "drill" => %w[boot desk store core api demo spec]
  }
  files = ->(work) { Dir[File.join(root, work, "**", "*.rb")].reject { |path| path.include?("/migrations/") } }
  room_of = ->(path) { path.delete_prefix("#{root}/").split("/").first }

  allowed.each do |work, below|
    it "lets #{work} know only #{below.empty? ? "itself" : below.join(", ")}" do
      upward =
        files
          .(work)
          .flat_map do |path|
            File
              .readlines(path)
              .grep(/^\s*require_relative "/)
              .map { |line| File.expand_path(line[/"(.+)"/, 1], File.dirname(path)) }
              .reject { |target| target.include?('#{') || [work, *below].include?(room_of.(target)) }
              .map { |target| "#{path} -> #{target}" }
          end
      expect(upward).to be_empty
    end
  end

  # What speaks to the database by itself: its drivers by name, a call on a connection, SQL in a string. Read by the
  # parser, so that neither a comment nor a line break hides or invents any.
  spoken = lambda do |source|
    tokens = Ripper.lex(source).map do |token|
      [token[1], token[2]]
    end.reject { |kind, _| kind.to_s.match?(/sp|nl|comment/) }
    tokens.each_cons(2).filter_map do |(kind, text), (following, _)|
      next text if kind == :on_const && %w[Sequel PG].include?(text)
      next "a call on #{text}" if kind == :on_ident && text == "db" && %i[on_lbracket on_period].include?(following)

      sql = /\b(SELECT .+ FROM|INSERT INTO|UPDATE \w+ SET|DELETE FROM|CREATE (TABLE|INDEX))\b/
      text if kind == :on_tstring_content && text.match?(sql)
    end
  end

  it "keeps SQL and its drivers in store" do
    rooms = %w[core desk api exchange devices demo].flat_map { |work| files.(work) }
    told = rooms.to_h do |path|
      [path.delete_prefix("#{root}/"), spoken.(File.read(path))]
    end.reject { |_, list| list.empty? }
    expect(told).to be_empty
  end

  it "sees what speaks to the database" do
    hidden = ["db[:accounts].first", "db\n  .get(1)", "Sequel.function(:now)", "rescue PG::Error",
              'run("DELETE FROM lots")']
    expect(hidden.map { |source| spoken.(source).size }).to eq([1] * 5)
    expect(spoken.("# db[:lots]\nStore::Accounts.add(db, name: 1)\nhouse.db")).to be_empty
  end

  # What was sent or is answered may be a hash; what the store gives is a value.
  rows = %w[
    lot row act event food meal person jar tub rule count line pack household member photo price movement invitation
    feed account place stack child
  ]
  subscripted = lambda do |source|
    Ripper.lex(source).map do |token|
      [token[1], token[2]]
    end.each_cons(3).filter_map do |(_, name), (kind, _), (inner, _)|
      name if rows.include?(name.delete("@")) && kind == :on_lbracket && inner == :on_symbeg
    end
  end

  it "lets no row travel as a hash" do
    found = %w[desk api exchange devices].flat_map { |work| files.(work) }.to_h do |path|
      [path.delete_prefix("#{root}/"), subscripted.(File.read(path))]
    end
    expect(found.reject { |_, names| names.empty? }).to be_empty
    expect(subscripted.("lot[:id] + @lot[:on_hand]")).to eq(["lot", "@lot"])
  end

  it "keeps the environment, the clock and chance out of core" do
    # Chance is a generator with a seed, handed over; never the machine's own.
    chance = /(?<![.\w])rand\b|Random\.rand|Random\.new(?!\()|\.(?:shuffle|sample)\b(?!\(.*random: )|SecureRandom/
    loose = Regexp.union(/\bENV\b|Time\.now|Date\.today|clock_gettime|File\.|IO\.|\$stdout|\bputs\b/, chance)
    expect(
      files
        .("core")
        .select { |path| File.readlines(path).any? { |line| line.match?(loose) && !line.strip.start_with?("#") } }
    ).to be_empty
  end

  it "reads the environment in boot alone" do
    expect(
      %w[core store desk api exchange devices]
        .flat_map { |work| files.(work) }
        .select { |path| File.read(path).match?(/\bENV\b/) }
    ).to be_empty
  end

  it "loads every core file alone, with the standard library only" do
    script =
      files
        .("core")
        .map do |path|
          "pid = fork { begin; require #{path.inspect}; rescue Exception => e; warn \"#{path}: \#{e.message}\"; " \
            "exit!(1); end; exit!(0) }; Process.wait(pid); bad = true unless $?.success?"
        end
    output, status =
      Open3.capture2e(
        "ruby",
        "--disable-gems",
        "-e",
        "require 'date'; bad = false; #{script.join("\n")}; exit(bad ? 1 : 0)"
      )
    expect([output, status.success?]).to eq(["", true])
  end

  it "keeps files under 300 lines" do
    long =
      (allowed.keys.flat_map { |work| files.(work) } + Dir[File.join(root, "ui/src/**/*.{ts,tsx}")])
        .reject { |path| path.end_with?(".d.ts") }
        .select { |path| File.foreach(path).count > 300 }
    expect(long).to be_empty
  end

  it "keeps lines of the interface within 120 columns" do
    wide =
      Dir[File.join(root, "ui/src/**/*.{ts,tsx}")].reject { |path| path.end_with?(".d.ts") }.flat_map do |path|
        File.foreach(path).with_index(1).filter_map { |line, number| "#{path}:#{number}" if line.chomp.size > 120 }
      end
    expect(wide).to be_empty
  end

  it "names no registry in the lock files" do
    locks = %w[gems.lock Gemfile ui/package-lock.json].map { |name| File.read(File.join(root, name)) }.join
    expect(locks.scan(/^.*(?:"resolved"|remote: (?!REGISTRY)|rubygems\.|npmjs).*$/)).to be_empty
  end
end

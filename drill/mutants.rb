# frozen_string_literal: true

require "digest"
require "fileutils"
require "json"
require "open3"
require "ripper"
require "tmpdir"
require_relative "../core/value"

# Breaks the code on purpose, one place at a time, and asks whether the nearest specs notice. Each comparison, guard,
# logical operator and constant of the rooms below is flipped in a copy of the project; a mutant that the specs do not
# notice has survived. What no longer parses is no mutant; one whose specs run out of their time counts as noticed and
# is named. FILES and LIMIT narrow it; tmp/mutants.json keeps what was found, and AGAIN=1 tries only what survived
# there.
class MutantsDrill
  ROOT = File.expand_path("..", __dir__)
  # The quickest first: the first red one ends a trial.
  DATING =
    %w[
      explained cap_table edges caps dating dating_rules life batches guide cautions parts breaking words lineage
      stories
    ].map { |name| "spec/core/#{name}_spec.rb" }.freeze
  SIGN_IN = %w[spec/api/sign_in_spec.rb spec/api/guard_spec.rb spec/api/door_spec.rb].freeze
  NEAREST = {
    "core/dating" => DATING,
    "core/rotation" => %w[spec/core/shelf_spec.rb spec/core/rotation_spec.rb spec/core/counting_spec.rb
                          spec/core/planning_spec.rb],
    "desk/acts/undo.rb" => %w[
      spec/desk/trust_spec.rb spec/desk/acts_spec.rb spec/desk/records_spec.rb spec/desk/life_spec.rb
      spec/desk/count_spec.rb
    ],
    "api/auth.rb" => SIGN_IN,
    "api/sign_in_rules.rb" => SIGN_IN
  }.freeze
  FLIPS = {
    "<" => "<=", "<=" => "<", ">" => ">=", ">=" => ">", "==" => "!=", "!=" => "==", "&&" => "||", "||" => "&&",
    "&." => ".", "!" => ""
  }.freeze
  WORDS = {
    "true" => "false", "false" => "true", "unless" => "if", "if" => "unless", "min" => "max", "max" => "min",
    "any?" => "all?", "all?" => "any?", "none?" => "any?", "first" => "last", "reject" => "select",
    "select" => "reject", "positive?" => "negative?", "negative?" => "positive?", "compact" => "itself",
    "floor" => "ceil", "ceil" => "floor"
  }.freeze
  AT_MOST = 60
  # What `timeout` exits with.
  TIMED_OUT = 124
  FOUND = File.join(ROOT, "tmp", "mutants.json")

  # One change: the file, the line and column, what stood there and what stands there now. Frozen.
  Mutant =
    NutShelf::Core::Value.of(:file, :line, :column, :from, :to) do
      def to_s = "#{file}:#{line}:#{column} #{from} -> #{to.empty? ? "(nothing)" : to}"
    end

  def run
    mutants = pick(files.flat_map { |file| mutants_of(file) })
    puts "mutants: #{mutants.size} places in #{files.size} files"
    copies = Array.new(workers) { |number| copy(number) }
    @late = Queue.new
    survivors = share(mutants, copies)
    report(mutants, survivors)
  ensure
    copies&.each { |folder| FileUtils.rm_rf(folder) }
  end

  private

  def workers = 2

  def files
    chosen = ENV.fetch("FILES", NEAREST.keys.join(",")).split(",")
    chosen.flat_map do |path|
      if File.directory?(File.join(ROOT, path))
        Dir[File.join(ROOT, path, "*.rb")].map { |file| file.delete_prefix("#{ROOT}/") }
      else
        [path]
      end
    end
  end

  # An even sample, the same for the same seed.
  def pick(mutants)
    mutants = mutants.select { |mutant| last_survivors.include?(mutant.to_s) } if ENV.key?("AGAIN")
    limit = Integer(ENV.fetch("LIMIT", mutants.size.to_s), 10)
    mutants.sort_by { |mutant| Digest::SHA256.hexdigest("#{ENV.fetch("SEED", "7")} #{mutant}") }.first(limit)
  end

  # What was not noticed the last time, for a quick second look after specs were added.
  def last_survivors = @last_survivors ||= JSON.parse(File.read(FOUND)).fetch("survived")

  def mutants_of(file)
    text = File.read(File.join(ROOT, file))
    found =
      Ripper.lex(text).each_cons(2).filter_map do |((line, column), kind, token, *), following|
        to = flipped(kind, token, following) or next
        Mutant.new(file: file, line: line, column: column, from: token, to: to)
      end
    found.select { |mutant| Ripper.sexp(changed(text, mutant)) }
  end

  def flipped(kind, text, following)
    case kind
    when :on_op
      FLIPS[text]
    when :on_kw
      WORDS[text] unless text == "if" && following[2] == "("
    when :on_ident
      WORDS[text]
    when :on_int
      (text.to_i + 1).to_s if text.match?(/\A\d+\z/)
    end
  end

  def copy(number)
    folder = Dir.mktmpdir("nut-shelf-mutants-#{number}-")
    Dir
      .children(ROOT)
      .reject { |name| %w[.git tmp .local ui].include?(name) }
      .each { |name| FileUtils.cp_r(File.join(ROOT, name), folder) unless name == "vendor" }
    FileUtils.ln_s(File.join(ROOT, "vendor"), File.join(folder, "vendor"))
    FileUtils.mkdir_p(File.join(folder, "tmp"))
    folder
  end

  def share(mutants, copies)
    queue = Queue.new
    mutants.each { |mutant| queue << mutant }
    survivors = Queue.new
    copies.each_with_index.map { |folder, number| Thread.new { work(queue, survivors, folder, number) } }.each(&:join)
    Array.new(survivors.size) { survivors.pop }
  end

  def work(queue, survivors, folder, number)
    loop do
      mutant = queue.pop(true)
      next if noticed?(mutant, folder, number)

      puts "survived: #{mutant}"
      $stdout.flush
      survivors << mutant
    end
  rescue ThreadError
    nil
  end

  def noticed?(mutant, folder, number)
    path = File.join(folder, mutant.file)
    before = File.read(path)
    File.write(path, changed(before, mutant))
    !specs_pass?(mutant, folder, number)
  ensure
    File.write(path, before)
  end

  def changed(text, mutant)
    lines = text.lines
    line = lines[mutant.line - 1].b
    line[mutant.column, mutant.from.bytesize] = mutant.to.b
    lines[mutant.line - 1] = line.force_encoding("UTF-8")
    lines.join
  end

  def specs_pass?(mutant, folder, number)
    specs =
      NEAREST
        .find { |start, _| mutant.file.start_with?(start) }
        .last
        .select { |spec| File.file?(File.join(folder, spec)) }
    env = {
      "NUT_SHELF_SPECS" => "_mutant#{number}",
      "NUT_SHELF_LOCAL" => File.join(ROOT, ".local"),
      "RACK_ENV" => "test"
    }
    _, status =
      Open3.capture2e(
        env,
        "timeout",
        AT_MOST.to_s,
        "bundle",
        "exec",
        "rspec",
        "--fail-fast",
        "--order",
        "defined",
        *specs,
        chdir: folder
      )
    @late << mutant.to_s if status.exitstatus == TIMED_OUT
    status.success?
  end

  def report(mutants, survivors)
    share = mutants.empty? ? 100 : (100.0 * (mutants.size - survivors.size) / mutants.size).round(1)
    puts "mutants: #{mutants.size}, noticed #{mutants.size - survivors.size} (#{share} %), survived #{survivors.size}"
    survivors.sort_by(&:to_s).each { |mutant| puts "  #{mutant}" }
    late = Array.new(@late.size) { @late.pop }.sort
    puts "of those noticed, #{late.size} only by running out of #{AT_MOST} s" if late.any?
    late.each { |mutant| puts "  #{mutant}" }
    FileUtils.mkdir_p(File.dirname(FOUND))
    File.write(
      FOUND,
      JSON.pretty_generate(
        mutants: mutants.size,
        noticed_percent: share,
        survived: survivors.map(&:to_s).sort,
        late: late
      )
    )
    exit(share >= 90 ? 0 : 1)
  end
end

MutantsDrill.new.run if $PROGRAM_NAME == __FILE__

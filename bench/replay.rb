# frozen_string_literal: true

# The SQL a piece of work sends: how many statements, and those that read, each once.
class Replay
  # @param db [Sequel::Database]
  # @yield the work
  # @return [Replay]
  def self.of(db)
    lines = []
    log = Object.new
    %i[info debug warn error].each { |level| log.define_singleton_method(level) { |text| lines << text } }
    db.loggers << log
    yield
    new(lines)
  ensure
    db.loggers.delete(log)
  end

  # @param lines [Array<String>] as Sequel logs them
  def initialize(lines)
    @statements = lines.map { |line| line.sub(/\A\([^)]*\) /, "") }
  end

  # @return [Integer] statements sent, those that open and close the transaction left out
  def count = @statements.grep_v(/\A(BEGIN|COMMIT|ROLLBACK|SET )/).size

  # @return [Array<String>] what reads rows, without repetition
  def reads = @statements.grep(/\A(SELECT|WITH)/).grep_v(/set_config|FOR UPDATE/).uniq
end

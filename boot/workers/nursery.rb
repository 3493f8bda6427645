# frozen_string_literal: true

require "socket"
require "tmpdir"
require_relative "worker"

module NutShelf
  module Boot
    class Workers
      # The process that makes workers: forked once, before there are threads or connections, it stays small and single,
      # so that a worker can be forked from it at any time, also in the place of one that died. Whoever wants a worker
      # rings at its door; it ends when the process that started it does.
      class Nursery
        # Work is to leave the machine to whoever waits for a page.
        NICE = 5

        attr_reader :door

        # @return [Nursery] running
        def self.start = new.tap(&:start)

        def start
          @folder = Dir.mktmpdir("nut-shelf-work")
          File.chmod(0o700, @folder)
          @door = File.join(@folder, "door")
          server = UNIXServer.new(@door)
          alive, @life = IO.pipe
          @over, living = IO.pipe
          # Nobody's child: a web server that waits for all of its children must not wait for this one.
          Process.wait(fork { fork { live(server, alive, living) } && exit!(0) })
          [server, alive, living].each(&:close)
        end

        # Ends it and every worker that is at rest; a worker that is busy ends with its job.
        def stop
          @life&.close
          @over&.read
        ensure
          FileUtils.remove_entry(@folder) if @folder && File.directory?(@folder)
        end

        private

        # @param living [IO] closed when this process is over
        def live(server, alive, living)
          [@life, @over].each(&:close)
          @own = [server, alive, living].freeze
          quiet
          loop do
            ready, = IO.select([server, alive], nil, nil, 1)
            reap
            break if ready&.include?(alive)

            raise_one(server) if ready&.include?(server)
          end
        ensure
          exit!(0)
        end

        # Ctrl-C reaches every process of a terminal; the one that started this decides when it ends.
        def quiet
          %w[INT TERM].each { |signal| trap(signal, "IGNORE") }
          Process.setproctitle("nut shelf: nursery")
        end

        def raise_one(server)
          line = server.accept_nonblock(exception: false)
          return if line == :wait_readable

          fork do
            @own.each(&:close)
            Process.setproctitle("nut shelf: worker")
            Process.setpriority(Process::PRIO_PROCESS, 0, NICE)
            Worker.new(line).run
          ensure
            exit!(0)
          end
          line.close
        end

        def reap
          nil while Process.wait(-1, Process::WNOHANG)
        rescue Errno::ECHILD
          nil
        end
      end
    end
  end
end
